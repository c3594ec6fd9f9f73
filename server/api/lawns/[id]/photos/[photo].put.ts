import { idSchema } from '#contract/fields'
import { photoWordsSchema } from '#contract/photo'
import { describePhoto, photosOf } from '../../../../records/photos'
import { answer } from '../../../../utils/answer'
import { bodyOf, paramOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'
import { notFound } from '../../../../utils/refusal'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const words = await bodyOf(event, photoWordsSchema)
  if (!(await describePhoto(work.firm.id, id, paramOf(event, 'photo', idSchema, 'photo'), words)))
    throw notFound('photo')
  return photosOf(work.firm.id, id)
})
