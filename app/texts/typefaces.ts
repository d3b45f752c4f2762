import type { Character, Cut, Form, OwnTypeface } from '../../core/type/index.ts';

const WEIGHTS: Readonly<Record<number, string>> = {
  100: 'Thin',
  200: 'Extra light',
  300: 'Light',
  400: 'Regular',
  500: 'Medium',
  600: 'Semibold',
  700: 'Bold',
  800: 'Extra bold',
  900: 'Black',
  950: 'Extra black',
};

/** What a cut of a family is called: its weight, then what is not usual about it. */
function cutName({ weight, width, italic }: Cut): string {
  const name = WEIGHTS[weight] ?? `Weight ${weight}`;
  const wide = width === 100 ? '' : `, ${width < 100 ? 'condensed' : 'expanded'} to ${width} %`;
  if (!italic) return `${name}${wide}`;
  return weight === 400 && !wide ? 'Italic' : `${name} italic${wide}`;
}

/** What features give letters, by their registered tags; those that are usually on give what is without them. */
const FEATURES: Readonly<Record<string, string>> = {
  liga: 'No ligatures',
  clig: 'No contextual ligatures',
  calt: 'No contextual forms',
  dlig: 'Discretionary ligatures',
  hlig: 'Historical ligatures',
  swsh: 'Swash',
  cswh: 'Contextual swash',
  salt: 'Stylistic alternate',
  titl: 'Titling',
  hist: 'Historical form',
  smcp: 'Small capitals',
  c2sc: 'Capitals as small capitals',
  pcap: 'Petite capitals',
  c2pc: 'Capitals as petite capitals',
  unic: 'Unicase',
  onum: 'Old-style figures',
  lnum: 'Lining figures',
  pnum: 'Proportional figures',
  tnum: 'Tabular figures',
  frac: 'Fractions',
  afrc: 'Stacked fractions',
  ordn: 'Ordinals',
  sups: 'Superscript',
  subs: 'Subscript',
  sinf: 'Scientific inferiors',
  zero: 'Slashed zero',
  ornm: 'Ornament',
  nalt: 'Annotation form',
};

/** What a form of letters is called, with the name that the maker of the typeface gave it. */
function formName({ tag, value }: Form, named = ''): string {
  const number = Number(tag.slice(2));
  const kind = tag.startsWith('ss') && number ? `Stylistic set ${number}` : undefined;
  const variant = tag.startsWith('cv') && number ? `Character variant ${number}` : undefined;
  const name = FEATURES[tag] ?? kind ?? variant ?? tag;
  return `${named ? `${name}: ${named}` : name}${value > 1 ? ` (${value})` : ''}`;
}

const cuts = (count: number): string => `${count} ${count === 1 ? 'cut' : 'cuts'}`;

/** Words about typefaces and their cuts. */
export const typefaces = {
  title: 'Typefaces',
  choose: 'Choose a typeface',
  all: 'All',
  characters: {
    serif: 'Serif',
    sans: 'Sans',
    slab: 'Slab',
    rounded: 'Rounded',
    condensed: 'Condensed',
    script: 'Script',
    hand: 'Hand',
    typewriter: 'Typewriter',
    stencil: 'Stencil',
    blackletter: 'Blackletter',
    'other-scripts': 'Other scripts',
    own: 'Your own',
  } satisfies Record<Character, string>,
  yourWords: 'Your words',
  ownWord: 'your own',
  lacks: (letters: string): string => `lacks ${letters}`,
  bold: 'Bold',
  italic: 'Italic',
  noCut: 'This typeface has no such cut; thicken it instead.',
  cut: 'Cut',
  cutLong: 'Cut of the typeface',
  cutName,
  cuts,
  forms: 'Letter forms',
  openForms: 'Other letter forms …',
  formName,
  formsOf: (letters: string): string => `For “${letters}”`,
  formsHint: 'Mark letters on the label to change those alone.',
  noForms: 'This typeface has no other forms for these letters.',
  usualForms: 'Put all letter forms back',
  /** Axes by their registered tags; others are called as their makers do. */
  axes: {
    wght: 'Weight',
    wdth: 'Width',
    slnt: 'Slant',
    ital: 'Italic',
    opsz: 'Optical size',
  } as Readonly<Record<string, string>>,
  axisReset: 'Put its axes back',
  outlinesOnly: 'Prints as outlines: its words cannot be searched in the PDF.',
  add: 'Add a typeface …',
  addHint: 'TTF, OTF, TTC, WOFF or WOFF2; drop it here or choose it.',
  adding: 'Reading …',
  added(list: readonly OwnTypeface[]): string {
    const [first, ...others] = [...new Set(list.map(({ family }) => family))];
    const more = others.length ? ` and ${others.length} more` : '';
    const count = list.length > 1 ? ` with ${cuts(list.length)}` : '';
    return `“${first}”${more} is among your typefaces now${count}.`;
  },
  remove: (family: string): string => `Take ${family} out of the workshop`,
  removed: (family: string): string =>
    `“${family}” is gone from your typefaces. Jobs set in it keep it.`,
  collection: (name: string): string => `“${name}” holds several typefaces`,
  collectionHint: 'Choose those that you want.',
  takeAll: 'All',
  takeNone: 'None',
  take: (count: number): string => (count === 1 ? 'Take it' : `Take ${count}`),
  installed: 'From this computer …',
  installedTitle: 'Typefaces of this computer',
  find: 'Find a family',
  noneInstalled: 'This browser shows no typefaces of the computer.',
  notAllowed: 'The browser was not allowed to show the typefaces of this computer.',
  notAllowedRemedy: 'Allow it in the settings of this page, or add the file of a typeface.',
  noneFound: (typed: string): string => `No family is called “${typed}”.`,
  addFamily: 'Add',
} as const;
