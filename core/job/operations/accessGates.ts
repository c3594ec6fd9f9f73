import { say, type Message } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { figure } from '../../measure/figure'
import type { Part } from '../parts'
import type { Planning, PlanningCode } from '../planningFigures'
import type { LawnRecord } from '../records'
import type { Definition } from './definition'

/** Machines that have to be brought onto the lawn. */
export type MachineCode = 'mower' | 'dethatcher' | 'corer' | 'slitSeeder'

const MACHINES: Readonly<Record<MachineCode, { name: Message; gate: PlanningCode; steps: PlanningCode }>> = {
  mower: { name: say('operations.theMower'), gate: 'mowerGate', steps: 'mowerSteps' },
  dethatcher: { name: say('operations.theDethatcher'), gate: 'dethatcherGate', steps: 'dethatcherSteps' },
  corer: { name: say('operations.theCorer'), gate: 'corerGate', steps: 'corerSteps' },
  slitSeeder: { name: say('operations.theSlitSeeder'), gate: 'slitSeederGate', steps: 'slitSeederSteps' },
}

/**
 * Whether the machines of an operation come through the narrowest gate and over the steps of the lawn, by the firm's
 * figures; nothing is said where they do, or nobody measured.
 */
export function accessGates(
  { access, planning }: { access?: LawnRecord['access']; planning: Planning },
  { machine }: Definition,
  parts: readonly Part[],
): Gate[] {
  const machines = new Set(parts.flatMap((part) => machine?.(part) ?? []))
  return [...machines].flatMap((code) => {
    const { name, gate, steps } = MACHINES[code]
    const source = { kind: 'user', text: say('operations.accessAsSurveyed') } as const
    const [gateMm, stepCount] = [(access?.gateM ?? Infinity) * 1000, access?.steps ?? 0]
    const wants = figure('widthMm', planning[gate])
    return [
      ...(gateMm < planning[gate]
        ? [
            {
              state: 'risk',
              code: 'gate',
              text: say('operations.gateTooNarrow', { gate: figure('widthMm', gateMm), name, wants }),
              source,
            } as const,
          ]
        : []),
      ...(stepCount > planning[steps]
        ? [
            {
              state: 'risk',
              code: 'steps',
              text: say('operations.tooManySteps', { steps: stepCount, name, most: planning[steps] }),
              source,
            } as const,
          ]
        : []),
    ]
  })
}
