import { say } from '#core/explain/message'
import { MOST_PHOTO_REQUEST_BYTES, MOST_PHOTOS, newPhotoSchema } from '#contract/photo'
import { compute } from '../../../../compute/pool'
import { authorOf } from '../../../../records/firms'
import { addPhoto, photosOf } from '../../../../records/photos'
import { answer } from '../../../../utils/answer'
import { bodyOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'
import { Refusal } from '../../../../utils/refusal'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const { jpeg, small, ...words } = await bodyOf(event, newPhotoSchema, { mostBytes: MOST_PHOTO_REQUEST_BYTES })
  const pictures = await compute('photo', { jpeg, small })
  if (!(await addPhoto(authorOf(work), id, words, pictures)))
    throw new Refusal(409, 'full_shelf', say('server.aLawnKeepsPhotos', { MOST_PHOTOS }))
  return photosOf(work.firm.id, id)
})
