/** The entry of a compute thread: the pool calls its tasks by name. */
export * from './tasks'
