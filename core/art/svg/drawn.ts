import { rgbOf, toHex } from '../../color/index.ts';
import {
  BLEND_MODES,
  findBounds,
  recoloredNode,
  type BlendMode,
  type DrawingNode,
  type GroupNode,
  type Mask,
  type Paint,
  type PathNode,
  type TilePaint,
} from '../../drawing/index.ts';
import {
  apply,
  boxOfRings,
  compose,
  corners,
  flatten,
  IDENTITY,
  invert,
  mapPath,
  rectanglePath,
  scaleOf,
  scaling,
  translation,
  type Affine,
  type Box,
  type Path,
} from '../../geometry/index.ts';
import { findBox } from './boxes.ts';
import { findClips } from './clips.ts';
import { strokedNode, strokeOf } from './lines.ts';
import { findLink, gradientPaint, plainPaint, pxOrShare, share, unitOf } from './paints.ts';
import { findOutline, findPx, readTransform, type Attributes } from './shapes.ts';
import type { SvgElement, SvgTree } from './tree.ts';
import { findViewBox, isSliced, viewMap, type ViewBox } from './view.ts';

const MM = 25.4 / 96;

/** How often a pattern is drawn at most before it is drawn as pixels. */
const MOST_TILES = 5000;

/** A picture in a drawing: its address and size in pixels, or its nodes and size in mm. */
export type HeldPicture = { readonly width: number; readonly height: number } & (
  { readonly address: string } | { readonly nodes: readonly DrawingNode[] }
);

/** What is not drawn as shapes. */
export interface DrawnHelp {
  /** A picture by the address that the file has for it; undefined leaves it out. */
  picture(address: string): HeldPicture | undefined;
  /** An element drawn as pixels, placed from the unit square to mm; undefined for what shows nothing. */
  pixels?(element: SvgElement, map: Affine): DrawingNode | undefined;
}

/** A drawing in mm. */
export interface Drawn {
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly DrawingNode[];
  /** Whether colours mix with those below. */
  readonly blends: boolean;
}

/** The room of a resolved drawing in its own units, and from these to mm. */
export function roomOf({ attributes }: SvgElement): {
  width: number;
  height: number;
  view: ViewBox;
  map: Affine;
} {
  const own = findViewBox(attributes);
  const width = findPx(attributes.width) ?? own?.width ?? 0;
  const height = findPx(attributes.height) ?? own?.height ?? 0;
  const page = { x: 0, y: 0, width, height };
  const view = own ?? page;
  const map = compose(scaling(MM), viewMap(view, page, attributes.preserveAspectRatio));
  return { width: width * MM, height: height * MM, view, map };
}

/**
 * The nodes of a resolved drawing: groups, paths, pictures, and what they are painted, clipped and
 * masked with. Everything else is passed over.
 */
export function drawResolved({ root, ids }: SvgTree, help: DrawnHelp): Drawn | undefined {
  if (!root) return undefined;
  const { width, height, map } = roomOf(root);
  if (!(width > 0 && height > 0)) return undefined;
  const drawer = new Drawer(ids, help);
  const nodes = drawer.all(root.children, map);
  return { width, height, nodes, blends: drawer.blends };
}

/** The nodes of a drawing as they show in its frame: what reaches beyond is cut off, colours mix inside. */
export function framed({ width, height, nodes, blends }: Drawn): readonly DrawingNode[] {
  const over = isOver(nodes, width, height);
  if (!over && !blends) return nodes;
  const page: Box = { left: 0, top: 0, right: width, bottom: height };
  return [
    {
      kind: 'group',
      children: nodes,
      ...(over ? { clip: boxPath(page) } : {}),
      ...(blends ? { blend: 'normal' as const } : {}),
    },
  ];
}

/** Whether nodes reach beyond a rectangle at the origin. */
function isOver(nodes: readonly DrawingNode[], width: number, height: number): boolean {
  const bounds = findBounds(nodes);
  return (
    bounds !== undefined &&
    (bounds.left < 0 || bounds.top < 0 || bounds.right > width || bounds.bottom > height)
  );
}

const boxPath = ({ left, top, right, bottom }: Box): Path =>
  rectanglePath({ x: (left + right) / 2, y: (top + bottom) / 2 }, right - left, bottom - top);

/** What is masked: where it stands, its box in its own coordinates, and what it shows at most, in mm. */
interface MaskPlace {
  readonly map: Affine;
  readonly box: Box | undefined;
  readonly shown: Box | undefined;
}

/** Whether all that is masked lies in a box of its own coordinates. */
function holds({ left, top, right, bottom }: Box, { map, shown }: MaskPlace): boolean {
  if (!shown) return true;
  const back = invert(map);
  return corners(shown)
    .map((corner) => apply(back, corner))
    .every(({ x, y }) => x >= left && x <= right && y >= top && y <= bottom);
}

class Drawer {
  /** Whether colours mix anywhere. */
  blends = false;
  private readonly ids: ReadonlyMap<string, SvgElement>;
  private readonly help: DrawnHelp;

  constructor(ids: ReadonlyMap<string, SvgElement>, help: DrawnHelp) {
    this.ids = ids;
    this.help = help;
  }

  all(elements: readonly SvgElement[], map: Affine): DrawingNode[] {
    return elements.flatMap((element) => {
      const { name, attributes } = element;
      const own = compose(map, readTransform(attributes.transform));
      if (name === 'g') return this.group(element, own, map);
      if (name === 'image') return this.image(attributes, own);
      return this.path(element, own, map);
    });
  }

  private group(element: SvgElement, map: Affine, outer: Affine): DrawingNode[] {
    const { attributes, children } = element;
    const place = { map, box: this.needsBox(attributes) ? findBox(element) : undefined };
    const clips = findClips(attributes['clip-path'], this.ids, place) ?? [];
    const filtered = attributes.filter !== undefined && attributes.filter !== 'none';
    const inner =
      filtered && this.help.pixels
        ? (this.help.pixels(unfinished(element), outer) ?? [])
        : this.all(children, map);
    let drawn = Array.isArray(inner) ? inner : [inner];
    if (drawn.length === 0 || clips.some(({ path }) => path.length === 0)) return [];
    const masks = this.masks(attributes.mask, { ...place, shown: findBounds(drawn) });
    if (masks === undefined) return [];
    const opacity = share(attributes.opacity);
    const blend = blendOf(attributes.style);
    if (blend) this.blends = true;
    const [first] = clips;
    const effects: Omit<GroupNode, 'kind' | 'children'> = {
      ...(first ? { clip: first.path, ...(first.evenOdd ? { clipEvenOdd: true } : {}) } : {}),
      ...(masks[0] ? { mask: masks[0] } : {}),
      ...(opacity < 1 ? { opacity } : {}),
      ...(blend ? { blend } : {}),
    };
    for (const mask of masks.slice(1)) drawn = [{ kind: 'group', mask, children: drawn }];
    for (const { path, evenOdd } of clips.slice(1))
      drawn = [
        { kind: 'group', clip: path, ...(evenOdd ? { clipEvenOdd: true } : {}), children: drawn },
      ];
    return drawn.length > 1 || Object.keys(effects).length > 0
      ? [{ kind: 'group', ...effects, children: drawn }]
      : drawn;
  }

  private needsBox(attributes: Attributes): boolean {
    return attributes['clip-path'] !== undefined || attributes.mask !== undefined;
  }

  /** The masks that an attribute asks for, all of which hold; undefined for one that lets nothing show. */
  private masks(reference: string | undefined, place: MaskPlace, depth = 0): Mask[] | undefined {
    const mask = this.ids.get(findLink(reference) ?? '');
    if (mask?.name !== 'mask' || depth > 8) return [];
    const { attributes, children } = mask;
    const room = this.maskRoom(attributes, place.box);
    const cut = room && !holds(room, place);
    const ofBox = attributes.maskContentUnits === 'objectBoundingBox';
    if (ofBox && !place.box) return undefined;
    const map = ofBox && place.box ? compose(place.map, unitOf(place.box)) : place.map;
    const drawn = this.all(children, map);
    const nodes: DrawingNode[] = cut
      ? [{ kind: 'group', clip: mapPath(boxPath(room), place.map), children: drawn }]
      : drawn;
    const by = /alpha/.test(attributes['mask-type'] ?? attributes.style ?? '')
      ? 'alpha'
      : 'luminance';
    const more = this.masks(attributes.mask, place, depth + 1);
    return (
      more && [
        ...more,
        {
          nodes: by === 'luminance' ? nodes.map((node) => recoloredNode(node, greyOf)) : nodes,
          by,
        },
      ]
    );
  }

  /** Where a mask reaches (SVG 1.1, 14.4); everywhere where the box that it is told by is unknown. */
  private maskRoom(at: Attributes, box: Box | undefined): Box | undefined {
    const [x, y] = [pxOrShare(at, 'x', -0.1), pxOrShare(at, 'y', -0.1)];
    const [width, height] = [pxOrShare(at, 'width', 1.2), pxOrShare(at, 'height', 1.2)];
    if (at.maskUnits === 'userSpaceOnUse')
      return at.width === undefined
        ? undefined
        : { left: x, top: y, right: x + width, bottom: y + height };
    if (!box) return undefined;
    const [w, h] = [box.right - box.left, box.bottom - box.top];
    return {
      left: box.left + x * w,
      top: box.top + y * h,
      right: box.left + (x + width) * w,
      bottom: box.top + (y + height) * h,
    };
  }

  private image(attributes: Attributes, map: Affine): DrawingNode[] {
    const address = attributes.href ?? attributes['xlink:href'];
    const held = address === undefined ? undefined : this.help.picture(address);
    if (!held) return [];
    const [x = 0, y = 0] = [findPx(attributes.x), findPx(attributes.y)];
    const width = findPx(attributes.width) ?? held.width;
    const height = findPx(attributes.height) ?? held.height;
    if (!(width > 0 && height > 0)) return [];
    const to = { x, y, width, height };
    const aspect = attributes.preserveAspectRatio;
    const from = { x: 0, y: 0, width: held.width, height: held.height };
    const place = compose(map, viewMap(from, to, aspect));
    const node: DrawingNode =
      'nodes' in held
        ? { kind: 'group', transform: place, children: held.nodes }
        : {
            kind: 'image',
            art: held.address,
            map: compose(place, scaling(held.width, held.height)),
          };
    if (!isSliced(aspect)) return [node];
    const room: Box = { left: x, top: y, right: x + width, bottom: y + height };
    return [{ kind: 'group', clip: mapPath(boxPath(room), map), children: [node] }];
  }

  private path(element: SvgElement, map: Affine, outer: Affine): DrawingNode[] {
    const { name, attributes } = element;
    const path = findOutline(name, attributes);
    if (!path || path.length < 2 || attributes.visibility === 'hidden') return [];
    const rings = flatten(path, 0.01);
    const box = boxOfRings(rings) ?? { left: 0, top: 0, right: 0, bottom: 0 };
    const place = { box, map };
    const fill = this.paint(attributes.fill ?? '#000000', {
      ...place,
      opacity: share(attributes['fill-opacity']),
    });
    const lines = this.paint(attributes.stroke ?? 'none', {
      ...place,
      opacity: share(attributes['stroke-opacity']),
    });
    if (fill === 'pixels' || lines === 'pixels') {
      const made = this.help.pixels?.(unfinished(element), outer);
      return made ? [made] : [];
    }
    const evenOdd = attributes['fill-rule'] === 'evenodd';
    const filled: PathNode | undefined = fill && {
      kind: 'path',
      path: mapPath(path, map),
      fill,
      ...(evenOdd ? { evenOdd } : {}),
    };
    const stroke = lines && strokeOf(attributes, lines);
    if (!stroke || stroke.width <= 0) return filled ? [filled] : [];
    const stroked = strokedNode(path, stroke, map);
    const first = /^\s*stroke/.test(attributes['paint-order'] ?? '');
    if (filled && stroked.kind === 'path' && stroked.stroke && !first)
      return [{ ...filled, stroke: stroked.stroke }];
    const parts = filled ? [filled, stroked] : [stroked];
    return first ? parts.reverse() : parts;
  }

  private paint(
    value: string,
    place: { box: Box; map: Affine; opacity: number },
  ): Paint | 'pixels' | undefined {
    const link = findLink(value);
    if (link === undefined) return plainPaint(value, place.opacity);
    const found = this.ids.get(link);
    if (found?.name === 'linearGradient' || found?.name === 'radialGradient')
      return place.opacity === 0 ? undefined : gradientPaint(found, place);
    return found?.name === 'pattern' ? this.tile(found, place) : undefined;
  }

  private tile(
    { attributes, children }: SvgElement,
    { box, map, opacity }: { box: Box; map: Affine; opacity: number },
  ): TilePaint | 'pixels' | undefined {
    const n = (key: string): number => pxOrShare(attributes, key, 0);
    const ofBox = attributes.patternUnits !== 'userSpaceOnUse';
    const [w, h] = [box.right - box.left, box.bottom - box.top];
    const room = ofBox
      ? {
          x: box.left + n('x') * w,
          y: box.top + n('y') * h,
          width: n('width') * w,
          height: n('height') * h,
        }
      : { x: n('x'), y: n('y'), width: n('width'), height: n('height') };
    if (!(room.width > 0 && room.height > 0)) return undefined;
    const own = compose(map, readTransform(attributes.patternTransform));
    const scale = scaleOf(own);
    if (!(scale > 0)) return undefined;
    if ((w * h) / (room.width * room.height) > MOST_TILES && this.help.pixels) return 'pixels';
    const [width, height] = [room.width * scale, room.height * scale];
    const view = findViewBox(attributes);
    const ofContent = attributes.patternContentUnits === 'objectBoundingBox';
    const content = view
      ? viewMap(view, { ...room, x: 0, y: 0 }, attributes.preserveAspectRatio)
      : compose(translation(-room.x, -room.y), ofContent ? unitOf(box) : IDENTITY);
    const drawn = this.all(children, compose(scaling(scale), content));
    if (drawn.length === 0) return undefined;
    const cell: Box = { left: 0, top: 0, right: width, bottom: height };
    const over = isOver(drawn, width, height);
    const nodes: DrawingNode[] =
      over || opacity < 1
        ? [
            {
              kind: 'group',
              ...(over ? { clip: boxPath(cell) } : {}),
              ...(opacity < 1 ? { opacity } : {}),
              children: drawn,
            },
          ]
        : drawn;
    return {
      kind: 'tile',
      width,
      height,
      map: compose(compose(own, translation(room.x, room.y)), scaling(1 / scale)),
      nodes,
    };
  }
}

/** A colour in grey, as light as a mask by luminance takes it to be. */
function greyOf(color: string): string {
  const { r, g, b } = rgbOf(color);
  const light = 0.2125 * r + 0.7154 * g + 0.0721 * b;
  return toHex({ r: light, g: light, b: light });
}

/** An element as it is drawn to pixels: what is done to the result is left to its group. */
function unfinished(element: SvgElement): SvgElement {
  const { opacity, mask, style, 'clip-path': clip, ...attributes } = element.attributes;
  void [opacity, mask, style, clip];
  return { ...element, attributes };
}

function blendOf(style: string | undefined): BlendMode | undefined {
  const mode = /mix-blend-mode\s*:\s*([\w-]+)/.exec(style ?? '')?.[1];
  const known = BLEND_MODES.find((one) => one === mode);
  if (known && known !== 'normal') return known;
  return /isolation\s*:\s*isolate/.test(style ?? '') ? 'normal' : undefined;
}
