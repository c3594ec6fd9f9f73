import { lawnsOf } from '../../records/lawns'
import { answer } from '../../utils/answer'

export default answer((_event, { firm }) => lawnsOf(firm.id))
