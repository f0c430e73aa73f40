import type { Incompatibility } from '@core/schema/substance'

const APART = 'Keep them apart, and never pour them into one jar.'
const WASH = 'Wash in running water between the two baths, and never pour them into one jar.'

/** What must not meet in a glass, a tray or a waste jar. Common practice of laboratory safety. */
export const incompatibilities: readonly Incompatibility[] = [
  {
    id: 'hydrogen-cyanide',
    between: ['ferricyanide', 'strongAcid'],
    danger: 'Ferricyanide with a strong acid can give off hydrogen cyanide, a poisonous gas.',
    remedy: WASH,
  },
  {
    id: 'hydrogen-sulfide',
    between: ['sulfide', 'acid'],
    danger:
      'Sulfide with acid gives off hydrogen sulfide, a poisonous gas that the nose soon no longer notices.',
    remedy: WASH,
  },
  {
    id: 'sulfur-dioxide',
    between: ['sulfite', 'acid'],
    danger: 'Sulfite with acid gives off sulfur dioxide, which harms the lungs.',
    remedy: WASH,
  },
  {
    id: 'hypo-sulfur',
    between: ['thiosulfate', 'acid'],
    danger: 'Hypo with acid gives off sulfur dioxide and precipitates sulfur.',
    remedy: 'Wash in running water between the two baths; fix in a plain or alkaline fixer.',
  },
  {
    id: 'gold-in-hypo',
    between: ['gold', 'thiosulfate'],
    danger: 'Acid gold solution precipitates sulfur and gold in hypo: both baths are spoiled.',
    remedy: 'Rinse the toner out before the fixer.',
  },
  {
    id: 'gold-in-sulfite',
    between: ['gold', 'sulfite'],
    danger: 'Sulfite turns dissolved gold into metal: the gold is lost.',
    remedy: 'Rinse between the two baths.',
  },
  {
    id: 'fulminating-silver',
    between: ['silver', 'ammonia'],
    danger: 'Silver with ammonia forms explosive silver compounds when left standing.',
    remedy: 'Use the mixture at once and never store it. Ask the licensed service before you discard it.',
  },
  {
    id: 'fulminating-gold',
    between: ['gold', 'ammonia'],
    danger: 'Gold with ammonia forms fulminating gold, which explodes when dry.',
    remedy: APART,
  },
  {
    id: 'silver-fulminate',
    between: ['silver', 'nitricAcid', 'alcohol'],
    danger:
      'Silver nitrate, nitric acid and alcohol together can form silver fulminate, a violent explosive.',
    remedy: 'Never combine all three. Acidify a silver bath that contains alcohol only with citric acid.',
  },
  {
    id: 'chlorine',
    between: ['hypochlorite', 'acid'],
    danger: 'Hypochlorite with acid gives off chlorine, a poisonous gas.',
    remedy: 'Never use both in one room at one time; rinse trays well between them.',
  },
  {
    id: 'chloramines',
    between: ['hypochlorite', 'ammonia'],
    danger: 'Hypochlorite with ammonia gives off poisonous chloramines.',
    remedy: 'Never use both in one room at one time.',
  },
  {
    id: 'chloramines-from-salts',
    between: ['hypochlorite', 'ammonium'],
    danger:
      'Hypochlorite with an ammonium salt gives off poisonous chloramines and can form explosive nitrogen trichloride.',
    remedy: APART,
  },
  {
    id: 'hypochlorite-and-hypo',
    between: ['hypochlorite', 'thiosulfate'],
    danger: 'Hypochlorite with hypo heats up and spatters; strong solutions react violently.',
    remedy: WASH,
  },
  {
    id: 'hypochlorite-and-sulfite',
    between: ['hypochlorite', 'sulfite'],
    danger: 'Hypochlorite with sulfite heats up; strong solutions spatter.',
    remedy: WASH,
  },
  {
    id: 'cyanogen-chloride',
    between: ['hypochlorite', 'ferricyanide'],
    danger: 'Hypochlorite attacks ferricyanide and can give off poisonous cyanogen chloride.',
    remedy: APART,
  },
  {
    id: 'cyanogen-from-thiocyanate',
    between: ['hypochlorite', 'thiocyanate'],
    danger: 'Hypochlorite with thiocyanate can give off poisonous cyanogen chloride.',
    remedy: APART,
  },
  {
    id: 'oxygen-from-hypochlorite',
    between: ['hypochlorite', 'peroxide'],
    danger: 'Hypochlorite with peroxide gives off oxygen at once: it foams over, and a closed jar bursts.',
    remedy: APART,
  },
  {
    id: 'chlorine-dioxide',
    between: ['chlorate', 'acid'],
    danger: 'Chlorate with acid gives off chlorine dioxide, a poisonous gas that can explode.',
    remedy: APART,
  },
  {
    id: 'ammonium-chlorate',
    between: ['chlorate', 'ammonium'],
    danger: 'Chlorate with an ammonium salt forms ammonium chlorate, which can explode when it dries.',
    remedy: APART,
  },
  ...(['thiosulfate', 'sulfite', 'thiocyanate'] as const).map((sulfur) => ({
    id: `chlorate-and-${sulfur}`,
    between: ['chlorate', sulfur] as const,
    danger: 'Chlorate with a sulfur compound can explode when dry, at a knock or by rubbing.',
    remedy: APART,
  })),
  {
    id: 'chlorine-from-dichromate',
    between: ['dichromate', 'hydrochloricAcid'],
    danger: 'Dichromate with hydrochloric acid gives off chlorine, a poisonous gas.',
    remedy: APART,
  },
  {
    id: 'aqua-regia',
    between: ['nitricAcid', 'hydrochloricAcid'],
    danger: 'Nitric with hydrochloric acid gives off chlorine and nitrosyl chloride; a closed bottle bursts.',
    remedy: APART,
  },
  {
    id: 'peroxide-and-iron',
    between: ['peroxide', 'ironSalt'],
    danger: 'Iron decomposes peroxide: the mix heats up, gives off oxygen, and a closed jar bursts.',
    remedy: 'Rinse the iron out first; never pour them into one jar.',
  },
  {
    id: 'peroxide-and-sulfite',
    between: ['peroxide', 'sulfite'],
    danger: 'Peroxide with sulfite heats up; strong solutions boil and spatter.',
    remedy: WASH,
  },
  {
    id: 'peroxide-and-hypo',
    between: ['peroxide', 'thiosulfate'],
    danger: 'Peroxide with hypo heats up; strong solutions boil and spatter.',
    remedy: WASH,
  },
  {
    id: 'thiocyanate-and-acid',
    between: ['thiocyanate', 'acid'],
    danger:
      'Thiocyanate with acid gives off poisonous gases, hydrogen cyanide among them when it is hot or strong.',
    remedy: APART,
  },
  {
    id: 'chloromethyl-ether',
    between: ['formaldehyde', 'hydrochloricAcid'],
    danger: 'Formaldehyde with hydrochloric acid forms a vapour that causes cancer.',
    remedy: APART,
  },
  {
    id: 'carbon-dioxide',
    between: ['carbonate', 'acid'],
    danger: 'Carbonate with acid fizzes: it foams over, and a closed jar bursts.',
    remedy: 'Mix them only in an open tray, a little at a time; never pour them into one jar.',
  },
  {
    id: 'fire',
    between: ['oxidiser', 'flammable'],
    danger: 'An oxidiser with a flammable liquid can catch fire.',
    remedy: 'Keep them on separate shelves; add in small amounts only where a recipe calls for both.',
  },
]
