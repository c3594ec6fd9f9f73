import { CAUTIONS } from './ruleCautions'
import { LEANS } from './ruleLeans'
import { NEEDS } from './ruleNeeds'
import type { Rule } from './rule'

export const RULES: readonly Rule[] = [...NEEDS, ...LEANS, ...CAUTIONS]
