// The package has this font beside its maker, without a word on its type.
declare module 'pdfmake/build/fonts/Roboto' {
  import type { TFontContainer } from 'pdfmake/interfaces'

  const container: TFontContainer
  export default container
}
