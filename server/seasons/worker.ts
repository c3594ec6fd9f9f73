import { yieldToServer } from '../compute/yieldToServer'
import { workOut } from './seasonWork'

/** The entry of a thread that works seasons out, so that the server's own goes on answering. */
yieldToServer()
export default workOut
