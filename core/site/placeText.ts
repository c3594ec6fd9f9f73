/** A point on the earth, degrees: north and east are above 0. */
export interface Place {
  latDeg: number
  lonDeg: number
}

const NUMBER = String.raw`[+-]?\d{1,3}(?:\.\d+)?`
const BETWEEN = String.raw`\s*(?:,|%2C|;|/|\s)\s*`

/** Degrees, minutes and seconds with the letter of a side: 37°03'36"N, 37 03.6 N, 79.38W. */
const SIDED =
  /(\d{1,3}(?:\.\d+)?)\s*°?\s*(?:(\d{1,2}(?:\.\d+)?)\s*['′]?\s*)?(?:(\d{1,2}(?:\.\d+)?)\s*(?:"|″|'')?\s*)?([NSEW])/gi

const inside = (latDeg: number, lonDeg: number): Place | undefined =>
  Math.abs(latDeg) <= 90 && Math.abs(lonDeg) <= 180 ? { latDeg, lonDeg } : undefined

function sided(text: string): Place | undefined {
  const found = [...text.matchAll(SIDED)].map(([, degrees, minutes, seconds, side]) => ({
    value: Number(degrees) + Number(minutes ?? 0) / 60 + Number(seconds ?? 0) / 3600,
    side: side!.toUpperCase(),
  }))
  const north = found.find(({ side }) => side === 'N' || side === 'S')
  const east = found.find(({ side }) => side === 'E' || side === 'W')
  if (found.length !== 2 || !north || !east) return undefined
  return inside(north.side === 'S' ? -north.value : north.value, east.side === 'W' ? -east.value : east.value)
}

/** Where links of maps carry their coordinates, the surest first. */
const IN_LINKS = [
  // Parameters by name.
  new RegExp(String.raw`[?&#;](?:m?lat|latitude)=(${NUMBER}).*?[&;](?:m?lon|lng|longitude)=(${NUMBER})`, 'i'),
  // One parameter with both.
  new RegExp(
    String.raw`[?&](?:q|query|ll|sll|center|daddr|destination|pt)=(?:loc:)?(${NUMBER})${BETWEEN}(${NUMBER})`,
    'i',
  ),
  // After an at sign, and after a fragment's zoom.
  new RegExp(String.raw`@(${NUMBER}),(${NUMBER})`),
  new RegExp(String.raw`#(?:map=)?\d{1,2}(?:\.\d+)?/(${NUMBER})/(${NUMBER})`),
]
/** @source RFC 5870, A Uniform Resource Identifier for Geographic Locations */
const GEO_URI = new RegExp(String.raw`^geo:(${NUMBER}),(${NUMBER})(?:,${NUMBER})?(?:[;?]|$)`, 'i')
const PLAIN = new RegExp(String.raw`^\(?(${NUMBER})${BETWEEN}(${NUMBER})\)?$`)

/**
 * The place that somebody typed or pasted: coordinates, degrees with their sides, a geo: URI, or the link of a map with
 * coordinates in its text. Nothing is asked of anybody: a link without coordinates is none.
 * @param text at most some hundreds of characters are looked at
 */
export function placeIn(text: string): Place | undefined {
  const told = text.trim().slice(0, 500)
  const geo = GEO_URI.exec(told)
  if (geo || /^geo:/i.test(told)) return geo ? inside(Number(geo[1]), Number(geo[2])) : undefined
  const link = /^https?:/i.test(told)
  for (const pattern of link ? IN_LINKS : [PLAIN]) {
    const found = pattern.exec(told)
    if (found) return inside(Number(found[1]), Number(found[2]))
  }
  return link ? undefined : sided(told)
}
