import { dataAddress } from '../base/index.ts';
import { encodePngImage } from '../raster/index.ts';

/** One construct of SVG each, in a frame of 40 x 30 mm that is 80 x 60 units wide. */
const STOPS =
  '<stop offset="0" stop-color="#c0392b"/><stop offset="0.5" stop-color="#f1c40f"/><stop offset="1" stop-color="#1e6b3c"/>';
const FADE =
  '<stop offset="0" stop-color="#1e3c6b"/><stop offset="1" stop-color="#1e3c6b" stop-opacity="0"/>';
const LEAF = 'M10 30C10 10 40 4 70 12C66 44 40 56 10 30Z';

/** Three fields of colour, 240 x 160 pixels. */
const PICTURE = (): string => {
  const data = new Uint8ClampedArray(240 * 160 * 4).fill(255);
  for (let at = 0; at < 240 * 160; at++) data[at * 4 + Math.floor((at % 240) / 80)] = 40;
  return dataAddress('image/png', encodePngImage({ width: 240, height: 160, data }));
};

export const SVG_CONSTRUCTS: Readonly<Record<string, string>> = {
  'even-odd': `<path d="${LEAF}M30 20H50V36H30Z" fill="#1e6b3c" fill-rule="evenodd"/>`,
  'inherited style': `<g fill="#1e6b3c" stroke="#222222" style="stroke-width:3"><g fill-opacity=".5"><circle cx="30" cy="30" r="18"/></g><rect x="45" y="10" width="20" height="30" fill="inherit"/></g>`,
  'style sheet': `<style>.a{fill:#1e6b3c}g>rect.b{fill:#c0392b;stroke:#000;stroke-width:2}#c{fill:none;stroke:#1e3c6b;stroke-width:4}rect:nth-child(3){opacity:.4}</style><g><rect class="a" x="4" y="4" width="30" height="20"/><rect class="b" x="40" y="6" width="30" height="20"/><rect class="a" x="6" y="34" width="60" height="20"/></g><circle id="c" cx="60" cy="40" r="12"/>`,
  'current colour': `<g color="#8e44ad"><circle cx="40" cy="30" r="20" fill="currentColor"/></g>`,
  'linear gradient of the box': `<linearGradient id="g" x2="1" y2="1">${STOPS}</linearGradient><rect x="5" y="5" width="70" height="50" fill="url(#g)"/>`,
  'gradients that refer to others': `<linearGradient id="a">${STOPS}</linearGradient><linearGradient id="b" href="#a" x1="10" x2="70" gradientUnits="userSpaceOnUse"/><linearGradient id="g" href="#b" gradientTransform="rotate(30 40 30)"/><path d="${LEAF}" fill="url(#g)"/>`,
  'skewed gradient': `<linearGradient id="g" x1=".2" x2=".8" y2=".4" gradientTransform="skewX(30) scale(1 2)">${STOPS}</linearGradient><rect x="5" y="5" width="70" height="30" fill="url(#g)"/>`,
  'reflected gradient': `<linearGradient id="g" x1=".4" x2=".55" spreadMethod="reflect">${STOPS}</linearGradient><rect x="5" y="5" width="70" height="50" fill="url(#g)"/>`,
  'repeated gradient': `<radialGradient id="g" cx="30" cy="30" r="34" spreadMethod="repeat" gradientUnits="userSpaceOnUse">${STOPS}</radialGradient><rect x="5" y="5" width="70" height="50" fill="url(#g)"/>`,
  'elliptic gradient': `<radialGradient id="g">${STOPS}</radialGradient><rect x="5" y="15" width="70" height="24" fill="url(#g)"/>`,
  'gradient with a focus': `<radialGradient id="g" cx=".5" cy=".5" r=".5" fx=".3" fy=".35">${STOPS}</radialGradient><circle cx="40" cy="30" r="26" fill="url(#g)"/>`,
  'fading gradient': `<linearGradient id="g">${FADE}</linearGradient><rect width="80" height="30" fill="#f1c40f"/><path d="${LEAF}" fill="url(#g)" stroke="#000" stroke-width="2"/>`,
  'fading radial stroke': `<radialGradient id="g">${FADE}</radialGradient><circle cx="40" cy="30" r="20" fill="none" stroke="url(#g)" stroke-width="12"/>`,
  'opacity of fill and line': `<rect x="10" y="10" width="50" height="36" fill="#c0392b" fill-opacity=".1" stroke="#1e3c6b" stroke-width="6"/><circle cx="55" cy="35" r="15" fill="#1e6b3c" stroke="#000" stroke-width="6" stroke-opacity=".3"/>`,
  'opacity of a group': `<g opacity=".4"><circle cx="30" cy="30" r="20" fill="#c0392b"/><circle cx="50" cy="30" r="20" fill="#1e3c6b"/></g>`,
  dashes: `<path d="M6 10H74M6 25H74" stroke="#222" stroke-width="4" stroke-dasharray="9 5 2 5"/><path d="M6 45H74" stroke="#222" stroke-width="6" stroke-dasharray="8" stroke-dashoffset="4" stroke-linecap="round"/>`,
  joins: `<g fill="none" stroke="#222" stroke-width="7"><path d="M8 50L20 10L32 50" stroke-linejoin="round"/><path d="M34 50L46 10L56 50" stroke-linejoin="bevel"/><path d="M60 50L67 14L74 50" stroke-miterlimit="20"/></g>`,
  'line under an uneven map': `<g transform="scale(3 .8)"><circle cx="13" cy="36" r="9" fill="none" stroke="#1e3c6b" stroke-width="3"/></g>`,
  'line below its fill': `<path d="${LEAF}" fill="#f1c40f" stroke="#c0392b" stroke-width="9" paint-order="stroke"/>`,
  clips: `<clipPath id="a"><circle cx="30" cy="30" r="20"/></clipPath><clipPath id="b" clip-path="url(#a)"><rect x="20" y="5" width="20" height="50"/><circle cx="22" cy="30" r="9"/></clipPath><rect width="80" height="60" fill="#1e6b3c" clip-path="url(#b)"/>`,
  'clip of the box': `<clipPath id="a" clipPathUnits="objectBoundingBox"><ellipse cx=".5" cy=".5" rx=".5" ry=".3"/></clipPath><g transform="rotate(20 40 30)"><rect x="10" y="10" width="60" height="40" fill="#1e3c6b" clip-path="url(#a)"/></g>`,
  'even-odd clip': `<clipPath id="a"><path d="${LEAF}M30 20H50V36H30Z" clip-rule="evenodd"/></clipPath><rect width="80" height="60" fill="#c0392b" clip-path="url(#a)"/>`,
  'mask by light': `<linearGradient id="g"><stop stop-color="#fff"/><stop offset="1" stop-color="#000"/></linearGradient><mask id="m"><rect width="80" height="60" fill="url(#g)"/><circle cx="60" cy="30" r="9" fill="#0f0"/></mask><rect x="5" y="5" width="70" height="50" fill="#1e6b3c" mask="url(#m)"/>`,
  'mask by alpha': `<mask id="m" mask-type="alpha" maskUnits="userSpaceOnUse" x="0" y="0" width="60" height="60"><circle cx="40" cy="30" r="26" fill="#000" fill-opacity=".6"/></mask><rect x="5" y="5" width="70" height="50" fill="#1e6b3c" mask="url(#m)"/>`,
  'nested masks': `<mask id="a"><rect x="0" y="0" width="50" height="60" fill="#fff"/></mask><mask id="b" mask="url(#a)"><circle cx="40" cy="30" r="24" fill="#fff"/></mask><rect width="80" height="60" fill="#c0392b" mask="url(#b)"/>`,
  'use with a view': `<symbol id="s" viewBox="0 0 20 20" preserveAspectRatio="xMaxYMid"><path d="M0 0L20 10L0 20Z"/></symbol><use href="#s" x="5" y="5" width="70" height="24" fill="#1e6b3c"/><use href="#s" x="5" y="32" width="20" height="24" fill="#c0392b"/>`,
  'nested view': `<svg x="10" y="5" width="50" height="50" viewBox="0 0 10 10" preserveAspectRatio="none"><circle cx="5" cy="5" r="6" fill="#1e3c6b"/></svg>`,
  pattern: `<pattern id="p" width="18" height="15" patternUnits="userSpaceOnUse" patternTransform="rotate(20)"><circle cx="9" cy="7" r="6" fill="#c0392b"/></pattern><path d="${LEAF}" fill="url(#p)" stroke="#222"/>`,
  'pattern of the box': `<pattern id="p" width=".25" height=".5" viewBox="0 0 10 10"><rect width="5" height="5" fill="#1e6b3c"/><rect x="5" y="5" width="5" height="5" fill="#f1c40f"/></pattern><rect x="5" y="5" width="70" height="40" fill="url(#p)" fill-opacity=".7"/>`,
  'pattern on a line': `<pattern id="p" width="5" height="5" patternUnits="userSpaceOnUse"><rect width="3" height="5" fill="#1e3c6b"/></pattern><path d="M10 40C20 0 60 0 70 40" fill="none" stroke="url(#p)" stroke-width="10"/>`,
  markers: `<marker id="m" markerWidth="4" markerHeight="4" refX="2" refY="2" viewBox="0 0 4 4" orient="auto"><path d="M0 0L4 2L0 4Z" fill="#c0392b"/></marker><path d="M10 45L30 12L50 45L70 12" fill="none" stroke="#222" stroke-width="3" marker-start="url(#m)" marker-mid="url(#m)" marker-end="url(#m)"/>`,
  'blend modes': `<rect width="80" height="60" fill="#f1c40f"/><g style="mix-blend-mode:multiply"><circle cx="25" cy="30" r="18" fill="#3498db"/></g><rect x="45" y="10" width="25" height="40" fill="#c0392b" style="mix-blend-mode:screen"/>`,
  'blending kept inside': `<rect width="80" height="60" fill="#f1c40f"/><g style="isolation:isolate"><circle cx="35" cy="30" r="18" fill="#3498db"/><circle cx="50" cy="30" r="18" fill="#c0392b" style="mix-blend-mode:difference"/></g>`,
  'picture in its frame': `<image x="5" y="5" width="60" height="30" href="${PICTURE()}" style="image-rendering:optimizeSpeed" opacity=".8"/><image x="45" y="30" width="30" height="25" preserveAspectRatio="none" href="${PICTURE()}"/>`,
  'drawing as a picture': `<image x="10" y="10" width="60" height="40" href="data:image/svg+xml;base64,${btoa('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5" fill="#1e6b3c"/></svg>')}"/>`,
  'blur and shadow': `<filter id="f" x="-.5" y="-.5" width="2" height="2"><feGaussianBlur in="SourceAlpha" stdDeviation="2"/><feOffset dx="3" dy="3"/><feMerge><feMergeNode/><feMergeNode in="SourceGraphic"/></feMerge></filter><g transform="rotate(8 40 30)"><path d="${LEAF}" fill="#c0392b" filter="url(#f)"/></g>`,
  words: `<text x="6" y="34" font-family="Figtree" font-size="20" font-weight="600" fill="#1e3c6b">Thy<tspan fill="#c0392b" dy="6">me</tspan></text>`,
  'words on a path': `<path id="w" d="M8 45C25 5 55 5 72 45" fill="none"/><text font-family="Caveat" font-size="13"><textPath href="#w" startOffset="10%">wild garlic</textPath></text>`,
  'units and percentages': `<rect x="10%" y="5mm" width="50%" height="1cm" fill="#1e6b3c"/><circle cx="50%" cy="40pt" r="3mm" fill="hsl(210 60% 40%)"/>`,
  'switch and hidden parts': `<switch><foreignObject width="9" height="9"/><circle cx="30" cy="30" r="20" fill="#8e44ad"/></switch><g display="none"><rect width="80" height="60"/></g><rect x="50" y="5" width="20" height="50" visibility="hidden"/>`,
};

/** A construct as a file. */
export const constructFile = (body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40mm" height="30mm" viewBox="0 0 80 60">${body}</svg>`;
