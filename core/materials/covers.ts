/** What is laid over the seed. */
export const COVER_MATERIALS = ['compost', 'peat', 'screened topsoil', 'straw', 'fleece'] as const
export type CoverMaterial = (typeof COVER_MATERIALS)[number]
