/** Every message of the program in American English, by namespace; another English tells only what differs. */
import about from './about.json' with { type: 'json' }
import contract from './contract.json' with { type: 'json' }
import days from './days.json' with { type: 'json' }
import decide from './decide.json' with { type: 'json' }
import device from './device.json' with { type: 'json' }
import door from './door.json' with { type: 'json' }
import establishment from './establishment.json' with { type: 'json' }
import expected from './expected.json' with { type: 'json' }
import figures from './figures.json' with { type: 'json' }
import firm from './firm.json' with { type: 'json' }
import grass from './grass.json' with { type: 'json' }
import help from './help.json' with { type: 'json' }
import inspection from './inspection.json' with { type: 'json' }
import job from './job.json' with { type: 'json' }
import lawn from './lawn.json' with { type: 'json' }
import lawns from './lawns.json' with { type: 'json' }
import load from './load.json' with { type: 'json' }
import look from './look.json' with { type: 'json' }
import materials from './materials.json' with { type: 'json' }
import measure from './measure.json' with { type: 'json' }
import numbers from './numbers.json' with { type: 'json' }
import operations from './operations.json' with { type: 'json' }
import plan from './plan.json' with { type: 'json' }
import planned from './planned.json' with { type: 'json' }
import practices from './practices.json' with { type: 'json' }
import price from './price.json' with { type: 'json' }
import programmes from './programmes.json' with { type: 'json' }
import rules from './rules.json' with { type: 'json' }
import schedule from './schedule.json' with { type: 'json' }
import seed from './seed.json' with { type: 'json' }
import server from './server.json' with { type: 'json' }
import setUp from './setUp.json' with { type: 'json' }
import shed from './shed.json' with { type: 'json' }
import shell from './shell.json' with { type: 'json' }
import sill from './sill.json' with { type: 'json' }
import site from './site.json' with { type: 'json' }
import soil from './soil.json' with { type: 'json' }
import sowingDay from './sowingDay.json' with { type: 'json' }
import visits from './visits.json' with { type: 'json' }
import watch from './watch.json' with { type: 'json' }
import water from './water.json' with { type: 'json' }
import weather from './weather.json' with { type: 'json' }
import weatherFile from './weatherFile.json' with { type: 'json' }
import work from './work.json' with { type: 'json' }

export default {
  about,
  contract,
  days,
  decide,
  device,
  door,
  establishment,
  expected,
  figures,
  firm,
  grass,
  help,
  inspection,
  job,
  lawn,
  lawns,
  load,
  look,
  materials,
  measure,
  numbers,
  operations,
  plan,
  planned,
  practices,
  price,
  programmes,
  rules,
  schedule,
  seed,
  server,
  setUp,
  shed,
  shell,
  sill,
  site,
  soil,
  sowingDay,
  visits,
  watch,
  water,
  weather,
  weatherFile,
  work,
}
