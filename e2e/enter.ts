import { request, type FullConfig } from '@playwright/test'

/** Where the demo's technician is kept signed in for all browser tests. */
export const TECHNICIAN = 'test-results/technician.json'

/** Enters the demo once, as its technician. */
export default async function enter(config: FullConfig): Promise<void> {
  const context = await request.newContext({ baseURL: String(config.projects[0]!.use.baseURL) })
  await context.get('/demo/enter?as=technician')
  await context.storageState({ path: TECHNICIAN })
  await context.dispose()
}
