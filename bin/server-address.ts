import { serverAddress } from '#server/records/serverRole'

/** Prints the address under which a server of the demo or the tests connects: as a user that may only work. */
console.log(await serverAddress())
