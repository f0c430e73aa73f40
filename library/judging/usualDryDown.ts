import type { UsualDryDown } from '@core/tone/dryDown'

/** How much a process is said to dry darker, by its id, for whoever has not measured it yet. */
export const usualDryDown: Readonly<Record<string, UsualDryDown>> = {
  'van-dyke': { share: 0.25, standing: 'practice', source: 'Dries about 25 % darker, common practice' },
}
