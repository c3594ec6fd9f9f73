/** Pages that open to who is not signed in. */
const OPEN = new Set(['/sign-in', '/sign-up', '/join'])

/** Asks once who is at work; who is nobody goes to the door, or straight into the demo. */
export default defineNuxtRouteMiddleware(async (to) => {
  if (OPEN.has(to.path)) return
  const context = useContextStore()
  if (!context.context) await context.begin()
  const back = encodeURIComponent(to.fullPath)
  if (context.problem?.code === 'enter_demo') return navigateTo(`/demo/enter?to=${back}`, { external: true })
  if (context.problem?.code === 'signed_out') return navigateTo(`/sign-in?to=${back}`)
})
