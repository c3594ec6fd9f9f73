/** What each view is for and how it is worked, by the end of its path. */
const HELP: readonly { at: RegExp; title: string; does: readonly string[] }[] = [
  {
    at: /^\/set-up/,
    title: 'Set up',
    does: [
      'Put in where you work, how you count and the climate of your place. A few figures are enough to begin with; weather files or monthly normals make it better.',
      'The picture shows the soil of your year and when grass takes. If it looks wrong, a figure is wrong.',
    ],
  },
  {
    at: /^\/lawns\/?$/,
    title: 'Lawns',
    does: [
      'All lawns of the firm with their next task. Click a column head to sort, a second time to turn the order.',
      'Point at a row and the ledge above shows its days. Held and at risk lawns can be shown alone.',
    ],
  },
  {
    at: /\/look$/,
    title: 'Look',
    does: [
      'The survey: what grows, thatch, hardness, height, sun, levels, soil, water and what the client wants. On a phone it asks one question at a time.',
      'Measurements are typed as you say them: 5/8 in, 14 mm, 40x16 m. They come back as you typed them.',
      'Draw the lawn or import a drawing or GPS track; area and sun follow from it.',
    ],
  },
  {
    at: /\/decide$/,
    title: 'Decide',
    does: [
      'The programmes that fit, side by side, with schedule, price, what to expect and the risks. The reason stands at each, with its source.',
      'Below: what does not fit and why. Override with a note where you know better; the label cannot be overridden.',
    ],
  },
  {
    at: /\/when$/,
    title: 'When',
    does: [
      'How many of 100 years make a good stand for each sowing day of the next 18 months, and what spoils the rest. Drag the marker, use the arrow keys, or click a season below the chart.',
      'The range is counting error only: it leaves out what no model knows. Differences are named only where they are more than chance.',
    ],
  },
  {
    at: /\/do$/,
    title: 'Do',
    does: [
      'The dated tasks, from ordering to the final inspection. Each says what it waits for and how far it can slide.',
      'Drag a task or choose another day: what moves is shown before anything is kept. Mark work done with what was really done.',
    ],
  },
  {
    at: /\/bring$/,
    title: 'Bring',
    does: [
      'What to load: seed by lot, feed, cover, soil, machines. Change a setting and load, price and odds follow before you apply it.',
    ],
  },
  {
    at: /\/jobs(\/[^/]+)?$/,
    title: 'Jobs',
    does: [
      'The jobs of this lawn: what is open, what was closed and with what result. A closed job is kept as it was.',
    ],
  },
  {
    at: /^\/shed/,
    title: 'Shed',
    does: ['What is on hand, what jobs will use, and every movement. Count a line anew when it differs.'],
  },
  {
    at: /^\/weather/,
    title: 'Weather',
    does: [
      'Stations with their record, forecast, soil readings and normals. Import files, or let a logger deliver by a key of its own.',
      'A second station changes no lawn until you say so.',
    ],
  },
  {
    at: /^\/firm/,
    title: 'Firm',
    does: ['How the firm works: units, days, practices, planning figures, licences and people. Owners change them.'],
  },
]

/** @param path of the page in view @returns nothing where a page explains itself */
export const helpOf = (path: string) => HELP.find(({ at }) => at.test(path))
