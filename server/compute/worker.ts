import { yieldToServer } from './yieldToServer'

/** The entry of a compute thread: the pool calls its tasks by name. */
yieldToServer()
export * from './tasks'
