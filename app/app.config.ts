/** Nuxt UI in the product's own clothes: square, ink, no shadow. */
const FIELD =
  'rounded-none ring-1 max-sm:ring-2 text-[13px] max-sm:text-[16px] max-sm:min-h-12 focus-visible:ring-2 focus-visible:ring-frost-500'

const GROUND = 'bg-lime text-ink-500 ring-ink-3'

export default defineAppConfig({
  ui: {
    colors: {
      primary: 'ink',
      secondary: 'frost',
      success: 'moss',
      info: 'frost',
      warning: 'clay',
      error: 'clay',
      neutral: 'ledger',
    },
    button: {
      slots: {
        base: 'rounded-[2px] font-semibold text-[13px] min-h-9 px-4 max-sm:min-h-12 max-sm:text-[16px] disabled:opacity-55',
      },
      compoundVariants: [
        { color: 'primary', variant: 'solid', class: 'bg-ink-500 text-lime hover:bg-[#2c382e] active:bg-black' },
        {
          color: 'primary',
          variant: 'outline',
          class: 'bg-lime text-ink-500 ring-1 max-sm:ring-2 ring-ink-500 hover:bg-straw-tint',
        },
      ],
    },
    input: { slots: { root: 'w-full', base: FIELD }, variants: { variant: { outline: GROUND } } },
    textarea: { slots: { root: 'w-full', base: FIELD }, variants: { variant: { outline: GROUND } } },
    select: {
      variants: { variant: { outline: GROUND } },
      slots: { base: `${FIELD} w-full`, content: 'rounded-none ring-1 ring-ink-500 shadow-none bg-lime' },
    },
    checkbox: {
      slots: {
        root: 'items-center max-sm:min-h-12',
        base: 'rounded-none ring-1 ring-ink-3 bg-lime focus-visible:outline-2 focus-visible:outline-frost-500',
        label:
          'font-normal text-ink-500 text-[13px] max-sm:text-[16px] max-sm:min-h-12 max-sm:flex max-sm:items-center max-sm:gap-1',
      },
    },
    toast: {
      slots: {
        root: 'rounded-none ring-2 ring-ink-500 shadow-none bg-lime p-3',
        description: 'text-ink-500 text-[14px]',
      },
    },
    slideover: {
      slots: {
        content: 'rounded-none ring-2 ring-ink-500 shadow-none bg-lime divide-y-0',
        header: 'bg-ink-500 min-h-9 py-0 px-3 sm:px-3',
        title: 'text-lime text-[15px] leading-9',
        close: 'top-0.5 end-1 text-lime hover:bg-[#2c382e]',
        body: 'p-3.5 sm:p-3.5',
      },
    },
    formField: {
      slots: {
        label: 'font-semibold text-ink-500',
        help: 'text-[12px] text-ink-2 mt-1',
        error: 'mt-1 text-[12.5px] text-clay-500 font-semibold',
      },
    },
    modal: {
      variants: {
        overlay: { true: { overlay: 'bg-loam-900/60' } },
        fullscreen: { false: { content: 'rounded-none ring-2 ring-ink-500 shadow-none bg-lime' } },
      },
    },
  },
})
