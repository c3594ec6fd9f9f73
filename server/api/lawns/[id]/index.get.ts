import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(lawnAsked)
