import { removeSamples } from '../../records/samples'
import { answer } from '../../utils/answer'

export default answer(async (_event, { firm }) => ({ removed: await removeSamples(firm.id) }), 'owner')
