import { guessFrom } from '~/utils/browserGuess'
import { speak } from '~/utils/words'

/** Until a firm is known, words are in the English of the browser. */
export default defineNuxtPlugin(async () => {
  await speak(guessFrom(navigator.language, undefined).language)
})
