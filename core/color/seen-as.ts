import { linear, toHex, rgbOf, type Rgb } from './color.ts';

/** Ways in which a print can be looked at before it is made. */
export const WAYS_SEEN = ['print', 'grey', 'red-blind', 'green-blind', 'blue-blind'] as const;
export type WaySeen = (typeof WAYS_SEEN)[number];

/** Three rows of factors of red, green and blue and what is added, all of light (linear, 0 to 1). */
export type LightMatrix = readonly (readonly [number, number, number, number])[];

type Row = LightMatrix[number];

// Source: Machado, Oliveira and Fernandes, A physiologically-based model for simulation of color
// vision deficiency (2009), severity 1.0.
const BLIND: Readonly<Record<Exclude<WaySeen, 'print' | 'grey'>, LightMatrix>> = {
  'red-blind': [
    [0.152286, 1.052583, -0.204868, 0],
    [0.114503, 0.786281, 0.099216, 0],
    [-0.003882, -0.048116, 1.051998, 0],
  ],
  'green-blind': [
    [0.367322, 0.860646, -0.227968, 0],
    [0.280085, 0.672501, 0.047413, 0],
    [-0.01182, 0.04294, 0.968881, 0],
  ],
  'blue-blind': [
    [1.255528, -0.076749, -0.178779, 0],
    [-0.078411, 0.930809, 0.147602, 0],
    [0.004733, 0.691367, 0.3039, 0],
  ],
};

const LIGHT: Row = [0.2126, 0.7152, 0.0722, 0]; // of sRGB, IEC 61966-2-1
const FADE = 0.14; // how much of its colour a home printer's ink loses on plain paper
const BLACK = 0.022; // the light that its black still gives back

/**
 * How light changes when a print is seen in a way. In print colours are a little paler than on a screen,
 * black is not quite black, and white is what the paper is: a rule of thumb, no profile of a printer.
 * @param paper `#rrggbb`
 */
export function seenMatrix(way: WaySeen, paper: string): LightMatrix {
  if (way === 'grey') return [LIGHT, LIGHT, LIGHT];
  if (way !== 'print') return BLIND[way];
  const { r, g, b } = lightOf(paper);
  return [r, g, b].map((white, channel): Row => {
    const [red, green, blue] = LIGHT.map(
      (share, from) => white * (1 - BLACK) * (FADE * share + (from === channel ? 1 - FADE : 0)),
    ) as unknown as Row;
    return [red, green, blue, white * BLACK];
  });
}

/** A colour `#rrggbb` as it is seen in a way. */
export function seenAs(color: string, way: WaySeen, paper: string): string {
  const { r, g, b } = lightOf(color);
  const [red = 0, green = 0, blue = 0] = seenMatrix(way, paper).map(
    ([fromRed, fromGreen, fromBlue, added]) =>
      encoded(fromRed * r + fromGreen * g + fromBlue * b + added),
  );
  return toHex({ r: red, g: green, b: blue });
}

function lightOf(color: string): Rgb {
  const { r, g, b } = rgbOf(color);
  return { r: linear(r), g: linear(g), b: linear(b) };
}

/** Light as sRGB stores it, kept between black and white. */
function encoded(light: number): number {
  const kept = Math.min(1, Math.max(0, light));
  return kept <= 0.0031308 ? 12.92 * kept : 1.055 * kept ** (1 / 2.4) - 0.055;
}
