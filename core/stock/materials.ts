import type { CutSetting, Material } from './material.ts';

const set = (force: number, speed: number, passes = 1): CutSetting => ({ force, speed, passes });

/** White sticker paper, by which the others are told. */
export const MATT_PAPER: Material = {
  id: 'matt-paper',
  name: 'Matt paper',
  kind: 'paper',
  color: '#ffffff',
  needsWhite: false,
  thickness: 0.17,
  ink: 'any',
  drying: 5,
  mirrored: false,
  print: { paper: 'Plain or labels', quality: 'Normal' },
  tool: 'knife',
  tack: 'none',
  cut: { kiss: set(80, 200), through: set(160, 150, 2), crease: null },
  applying: 'Clean and dry the place. Set one edge down, then smooth from there to the other.',
  wear: 'Drip water on a spare label and wipe after a minute: paper labels are for dry places.',
  pack: null,
};

type Changes = Pick<Material, 'id' | 'name' | 'kind'> & Partial<Material>;
const material = (changes: Changes): Material => ({ ...MATT_PAPER, ...changes });

const FILM: Partial<Material> = {
  thickness: 0.2,
  ink: 'inkjet',
  drying: 20,
  print: { paper: 'Photo, matt', quality: 'High' },
  cut: { kiss: set(100, 150), through: set(220, 100, 2), crease: null },
  applying:
    'Wipe the place with spirit and let it dry. Peel back a corner, set it down, and press outwards.',
  wear: 'Let a spare label dry for a day, then rub it under running water for a minute.',
};
const SHINY: Partial<Material> = {
  ...FILM,
  needsWhite: true,
  print: { paper: 'Photo, glossy', quality: 'High' },
};
const CARD: Partial<Material> = {
  thickness: 0.3,
  tool: 'knife',
  tack: 'medium',
  print: { paper: 'Card or heavy paper', quality: 'Normal' },
  cut: { kiss: null, through: set(280, 80, 2), crease: set(120, 100) },
  applying: 'Thread through the hole, or fold along the creases and glue the flap.',
  wear: 'Bend a spare along the crease: coated card can crack there.',
};
const FABRIC: Partial<Material> = {
  ink: 'inkjet',
  drying: 30,
  thickness: 0.4,
  tool: 'scissors',
  print: { paper: 'Matt, heavy', quality: 'High' },
  cut: { kiss: null, through: null, crease: null },
  wear: 'Let the print dry for a day, rinse a spare piece cold, and iron it from the back.',
};

/** The materials that ship: kinds in common use, described by what they do and by no maker's name. */
export const SHIPPED_MATERIALS: readonly Material[] = [
  MATT_PAPER,
  material({
    id: 'glossy-paper',
    name: 'Glossy paper',
    kind: 'paper',
    drying: 15,
    print: { paper: 'Photo, glossy', quality: 'High' },
  }),
  material({
    id: 'removable-paper',
    name: 'Removable paper',
    kind: 'paper',
    wear: 'Stick one on the thing and take it off after a day: nothing should stay.',
  }),
  material({ id: 'satin-film', name: 'Satin film', kind: 'film', ...FILM }),
  material({
    id: 'white-film',
    name: 'White film, waterproof',
    kind: 'film',
    ...FILM,
    thickness: 0.22,
  }),
  material({
    id: 'laser-film',
    name: 'White film for laser',
    kind: 'film',
    ...FILM,
    ink: 'laser',
    drying: 0,
    print: { paper: 'Labels or film', quality: 'Normal' },
  }),
  material({ id: 'clear-film', name: 'Clear film', kind: 'clear', ...SHINY, color: '#f3f6f6' }),
  material({
    id: 'frosted-film',
    name: 'Frosted film',
    kind: 'clear',
    ...SHINY,
    color: '#e8eeee',
  }),
  material({
    id: 'holographic-film',
    name: 'Holographic film',
    kind: 'holographic',
    ...SHINY,
    color: '#d9dde6',
  }),
  material({ id: 'pearl-film', name: 'Pearl film', kind: 'pearl', ...SHINY, color: '#f1ebe4' }),
  material({
    id: 'silver-film',
    name: 'Silver film',
    kind: 'metallic',
    ...SHINY,
    color: '#c3c7cb',
  }),
  material({ id: 'gold-film', name: 'Gold film', kind: 'metallic', ...SHINY, color: '#d3b46a' }),
  material({
    id: 'kraft-paper',
    name: 'Brown kraft paper',
    kind: 'coloured',
    color: '#c39b6d',
    needsWhite: true,
  }),
  material({
    id: 'cream-paper',
    name: 'Cream laid paper',
    kind: 'coloured',
    color: '#f4ead2',
  }),
  material({
    id: 'coloured-paper',
    name: 'Coloured paper',
    kind: 'coloured',
    color: '#f7d9a6',
    needsWhite: true,
  }),
  material({ id: 'white-card', name: 'White card', kind: 'card', ...CARD }),
  material({
    id: 'grey-board',
    name: 'Grey board',
    kind: 'card',
    ...CARD,
    color: '#b9b6ae',
    needsWhite: true,
    thickness: 0.6,
    tool: 'trimmer',
    tack: 'high',
  }),
  material({
    id: 'disc-face',
    name: 'Printable disc',
    kind: 'film',
    ...FILM,
    thickness: 1.2,
    drying: 60,
    print: { paper: 'Printable disc', quality: 'High' },
    cut: { kiss: null, through: null, crease: null },
    applying: 'Nothing to apply: leave the disc in the open for an hour before it is stacked.',
  }),
  material({
    id: 'cotton',
    name: 'Printable cotton',
    kind: 'fabric',
    ...FABRIC,
    color: '#fbf8f1',
    applying: 'Peel off the backing, fold the hem under, and sew round.',
  }),
  material({
    id: 'iron-on',
    name: 'Iron-on transfer for light cloth',
    kind: 'transfer',
    ...FABRIC,
    mirrored: true,
    thickness: 0.25,
    applying: 'Lay the print face down on the cloth, iron hot for half a minute, peel when cold.',
  }),
];
