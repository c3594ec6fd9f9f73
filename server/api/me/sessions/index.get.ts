import type { OpenSession } from '#contract/firm'
import { authorOf } from '../../../records/firms'
import { sessionsOf } from '../../../records/sessions'
import { answer } from '../../../utils/answer'

export default answer((_event, work): Promise<OpenSession[]> => sessionsOf(authorOf(work), work.session.id))
