/** What the environment of this process says, read when asked, so that tests can change it. */
const said = (name: string): boolean => ['1', 'true', 'yes'].includes((process.env[name] ?? '').toLowerCase())

/** The people of the demo firm are let in without a password. */
export const demoMode = (): boolean => said('UPPER_SILL_DEMO')

/** A reverse proxy stands in front and writes the address of the asker. */
export const behindProxy = (): boolean => said('UPPER_SILL_BEHIND_PROXY')

/** New firms may sign up; a server for one firm shuts this after the first. */
export const signUpOpen = (): boolean => !said('UPPER_SILL_NO_SIGN_UP')

/** A folder whose subfolders are stations, where loggers put their files; empty where nothing is watched. */
export const watchedFolder = (): string => process.env.UPPER_SILL_WATCHED_FOLDER ?? ''
