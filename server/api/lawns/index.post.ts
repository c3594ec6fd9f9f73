import { newLawnSchema } from '#contract/lawn'
import { addLawn } from '../../records/lawns'
import { answer, bodyOf } from '../../utils/answer'

export default answer(async (event, { firm }) => addLawn(firm.id, await bodyOf(event, newLawnSchema)))
