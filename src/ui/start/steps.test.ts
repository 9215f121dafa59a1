import { registry } from '@/core/commands/registry'
import { GUIDE_STEPS } from '@/core/model/state'
import { STEPS } from './steps'

test('there are as many steps as one can be at, each about a command there is', () => {
  expect(STEPS).toHaveLength(GUIDE_STEPS)
  for (const { command, args = {} } of STEPS)
    expect(registry.get(command)?.args.isValidSync(args)).toBe(true)
})
