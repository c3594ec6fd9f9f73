import { authorOf } from '../../records/firms'
import { addSamples } from '../../records/samples'
import { sampleLawns } from '../../samples/sampleLawns'
import { answer } from '../../utils/answer'
import { english } from '../../utils/english'

export default answer(async (_event, work) => {
  const { firm, today } = work
  return { added: await addSamples(authorOf(work), sampleLawns(firm, today, english)) }
}, 'owner')
