import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { hanging, LIGHTING, looks } from './blocks'
import { gumChoices, gumComponents, gumLights, gumMixes, gumSteps } from './gumParts'

/** Gum over: a pigment layer in dichromated gum on a finished, toned print. */
export const gumOver: ProcessDefinition = {
  id: 'gum-over',
  version: 2,
  name: 'Gum over a finished print',
  summary:
    'Pigment in gum with dichromate over a finished, toned print: more depth or another colour, in register.',
  mark: 'plum',
  kind: 'process',
  components: gumComponents,
  mixes: gumMixes,
  baths: [],
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  chalk: { bears: true, why: 'The gum is printed over a finished print.' },
  choices: gumChoices,
  lights: gumLights,
  steps: [...gumSteps, hanging],
  cautions: [cautions.dichromate, cautions.warmth, cautions.glyoxal, cautions.formaldehyde, cautions.uv],
  secondLooks: looks,
  colours: {
    wetCoat: '#a5743a',
    dryCoat: '#98693a',
    exposed: '#7a5535',
    wetPrint: '#5c4a4a',
    print: '#4a3d40',
  },
}
