/** A moment as people say it, by their own clock: "today at 6:40 AM", "Sep 18 at 6:40 AM". */
export function momentWords(iso: string, now = new Date()): string {
  const at = new Date(iso)
  const clock = at.toLocaleTimeString('en-US', { hour: 'numeric', minute: '2-digit' })
  if (at.toDateString() === now.toDateString()) return `today at ${clock}`
  return `${at.toLocaleDateString('en-US', { month: 'short', day: 'numeric', ...(at.getFullYear() === now.getFullYear() ? {} : { year: 'numeric' }) })} at ${clock}`
}
