import { setResponseHeader } from 'h3'
import { idSchema } from '#contract/fields'
import { photoSizeSchema } from '#contract/photo'
import { pictureOf } from '../../../../records/photos'
import { answer } from '../../../../utils/answer'
import { paramOf, queryOf } from '../../../../utils/ask'
import { notFound } from '../../../../utils/refusal'

export default answer(async (event, { firm }) => {
  const [lawnId, id] = [paramOf(event, 'id', idSchema, 'lawn'), paramOf(event, 'photo', idSchema, 'photo')]
  const picture = await pictureOf(firm.id, lawnId, id, queryOf(event, photoSizeSchema).small ? 'small' : 'whole')
  if (!picture) throw notFound('photo')
  setResponseHeader(event, 'content-type', 'image/jpeg')
  // A picture under an id never changes; only this browser keeps it.
  setResponseHeader(event, 'cache-control', 'private, max-age=86400, immutable')
  return picture
})
