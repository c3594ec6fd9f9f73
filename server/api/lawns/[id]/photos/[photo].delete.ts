import { idSchema } from '#contract/fields'
import { photosOf, removePhoto } from '../../../../records/photos'
import { answer } from '../../../../utils/answer'
import { paramOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'
import { notFound } from '../../../../utils/refusal'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  if (!(await removePhoto(work.firm.id, id, paramOf(event, 'photo', idSchema, 'photo')))) throw notFound('photo')
  return photosOf(work.firm.id, id)
})
