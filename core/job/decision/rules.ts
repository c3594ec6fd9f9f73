import { CAUTIONS } from './ruleCautions'
import { LEANS } from './ruleRecommends'
import { NEEDS } from './ruleNeeds'
import type { Rule } from './rule'

export const RULES: readonly Rule[] = [...NEEDS, ...LEANS, ...CAUTIONS]
