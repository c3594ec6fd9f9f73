/**
 * Exact conversion factors. The international inch, pound and derived units are exact by definition.
 * @source NIST SP 811 (2008), appendix B; recalled from memory, checked in the tests against mathjs.
 */
export const MM_PER_INCH = 25.4
export const M_PER_FOOT = 0.3048
export const M_PER_YARD = 0.9144
export const M2_PER_FT2 = M_PER_FOOT * M_PER_FOOT
export const M2_PER_YD2 = M_PER_YARD * M_PER_YARD
export const M2_PER_ACRE = 4046.8564224
export const M2_PER_HECTARE = 10_000
export const M3_PER_FT3 = M_PER_FOOT ** 3
export const M3_PER_YD3 = M_PER_YARD ** 3
export const G_PER_LB = 453.59237
export const KG_PER_LB = G_PER_LB / 1000
export const KG_PER_OZ = KG_PER_LB / 16
export const L_PER_US_GAL = 3.785411784
export const L_PER_M3 = 1000
export const KMH_PER_MPH = 1.609344
/** Pound-force per square inch, from standard gravity 9.80665 m/s². */
export const KPA_PER_PSI = (KG_PER_LB * 9.80665) / ((MM_PER_INCH / 1000) ** 2 * 1000)

/** 1 lb per 1,000 ft² in g/m²: 4.882428. */
export const G_PER_M2_PER_LB_PER_1000FT2 = G_PER_LB / (1000 * M2_PER_FT2)

/** Mass share of the element in its oxide, from atomic masses (P 30.974, K 39.098, O 15.999). */
export const P_PER_P2O5 = 0.43643
export const K_PER_K2O = 0.83015

/** @param tempC °C @returns °F */
export const fahrenheit = (tempC: number): number => tempC * 1.8 + 32

/** @param tempF °F @returns °C */
export const celsius = (tempF: number): number => (tempF - 32) / 1.8
