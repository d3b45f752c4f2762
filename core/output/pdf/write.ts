import { findDataBytes, onceFor, type Platform } from '../../base/index.ts';
import {
  findBounds,
  walkDrawing,
  writtenAll,
  type Drawing,
  type DrawingNode,
  type ShadowNode,
} from '../../drawing/index.ts';
import { compose, IDENTITY, type Affine, type Box } from '../../geometry/index.ts';
import { pictureSize } from '../../raster/index.ts';
import { loadSubsetter, type Subsetter } from '../../type/index.ts';
import { outliner } from '../outlined.ts';
import { writeContent, type PdfParts } from './content.ts';
import { PdfForm } from './form.ts';
import { embedTypeface, usedGlyphs, type EmbeddedFont } from './fonts.ts';
import { embedPicture, embedPixels, embedShade } from './images.ts';
import type { PdfPage, PdfSources } from './page.ts';
import { drawShadows } from './shadows.ts';
import { PdfObjects, type PdfRef, type PdfValue } from './objects.ts';

const subsetter = onceFor(loadSubsetter);

const PT = 72 / 25.4;

/**
 * Writes drawings as a PDF 1.7 at true size, with print scaling off: words stay text in embedded
 * subsets, each symbol is one reusable object, each picture stands in it once. Same drawings, same
 * bytes. Without a title it is for being rendered and thrown away.
 */
export async function writePdf(
  platform: Platform,
  given: readonly PdfPage[],
  sources: PdfSources,
  title?: string,
): Promise<Uint8Array> {
  const objects = await PdfObjects.begin();
  const pages = withOutlines(given, sources);
  const drawings = pages.map(({ drawing }) => drawing);
  const subset = await subsetter(platform);
  const fonts = embedFonts(objects, drawings, sources, subset);
  const pictures = await embedPictures(objects, drawings, sources, platform);
  const shadows = await embedShadows(objects, drawings, sources, platform);
  const parts: PdfParts = {
    objects,
    shadow: (node) => shadows.get(node),
    font: (id) => fonts.get(id),
    picture: (id) => pictures.get(id),
    symbols: {},
    forms: new Map(),
    once: new Set(),
  };
  const tree = objects.reserve();
  const form = new PdfForm(objects, sources.typeface, subset);
  const layer = pages.some(({ cuts }) => cuts?.length)
    ? objects.add({ Type: '/OCG', Name: objects.text('Cut lines') })
    : undefined;
  const made = new Map<unknown, PdfRef>();
  const uses = countUses(drawings);
  const kids = pages.map((page) => {
    // Sheets of one job share their symbols: the same nodes are the same object on every page.
    const { symbols } = page.drawing;
    for (const [id, nodes] of Object.entries(symbols)) {
      const form = made.get(nodes);
      if (form) parts.forms.set(id, form);
      else parts.forms.delete(id);
    }
    parts.symbols = symbols;
    parts.once = new Set(
      Object.entries(symbols).flatMap(([id, nodes]) => (uses.get(nodes) === 1 ? [id] : [])),
    );
    const kid = addPage(page, { parts, tree, form, layer });
    for (const [id, form] of parts.forms) if (symbols[id]) made.set(symbols[id], form);
    return kid;
  });
  objects.fill(tree, { Type: '/Pages', Kids: kids, Count: kids.length });
  const root = objects.add({
    Type: '/Catalog',
    Pages: tree,
    ViewerPreferences: { PrintScaling: '/None', DisplayDocTitle: true },
    ...(layer ? { OCProperties: { OCGs: [layer], D: { Order: [layer], ON: [layer] } } } : {}),
    ...form.finish(),
  });
  return objects.write(root, title);
}

function addPage(
  { drawing, trim, bleed, cuts = [], fields = [], map = IDENTITY }: PdfPage,
  { parts, tree, form, layer }: PageParts,
): PdfRef {
  const height = drawing.height * PT;
  const base = compose([PT, 0, 0, -PT, 0, height], map);
  const { bytes, resources } = writeContent(drawing.nodes, parts, base);
  const lines = layer && cuts.length ? cutForm(cuts, { parts, layer }) : undefined;
  const places = form.place(fields, drawing.height);
  const media: Box = { left: 0, top: 0, right: drawing.width, bottom: drawing.height };
  const box = ({ left, top, right, bottom }: Box): PdfValue =>
    [left * PT, height - bottom * PT, right * PT, height - top * PT].map(
      (value) => Math.round(value * 1e4) / 1e4,
    );
  return parts.objects.add({
    Type: '/Page',
    Parent: tree,
    MediaBox: box(media),
    BleedBox: box(bleed ?? media),
    TrimBox: box(trim ?? media),
    Resources: lines
      ? { ...resources, XObject: { ...(resources.XObject as object), Cuts: lines } }
      : resources,
    Contents: lines
      ? [
          parts.objects.stream({}, bytes),
          parts.objects.stream(
            {},
            new TextEncoder().encode(`q ${writtenAll(base, 6)} cm /Cuts Do Q\n`),
          ),
        ]
      : parts.objects.stream({}, bytes),
    ...(places.length ? { Annots: places, Tabs: '/R' } : {}),
  });
}

interface PageParts {
  readonly parts: PdfParts;
  readonly tree: PdfRef;
  readonly form: PdfForm;
  /** The layer of cut lines, where there is one. */
  readonly layer: PdfRef | undefined;
}

/** Cut lines as one object that is shown with its layer. */
function cutForm(
  cuts: readonly DrawingNode[],
  { parts, layer }: Pick<PageParts, 'parts'> & { readonly layer: PdfRef },
): PdfRef {
  const { bytes, resources } = writeContent(cuts, parts, IDENTITY);
  const box = findBounds(cuts) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  return parts.objects.stream(
    {
      Type: '/XObject',
      Subtype: '/Form',
      BBox: [box.left, box.top, box.right, box.bottom],
      Resources: resources,
      OC: layer,
    },
    bytes,
  );
}

/** How often each symbol is used in all drawings, by its nodes. */
function countUses(drawings: readonly Drawing[]): Map<unknown, number> {
  const uses = new Map<unknown, number>();
  for (const drawing of drawings)
    walkDrawing(drawing, (node) => {
      const nodes = node.kind === 'use' ? drawing.symbols[node.symbol] : undefined;
      if (nodes) uses.set(nodes, (uses.get(nodes) ?? 0) + 1);
    });
  return uses;
}

/** Pages on which letters of typefaces that cannot stand in a file are outlines. */
function withOutlines(pages: readonly PdfPage[], { typeface }: PdfSources): readonly PdfPage[] {
  const isOutlined = (id: string): boolean => typeface(id)?.metadata.outlinesOnly === true;
  const used = [...usedGlyphs(pages.map(({ drawing }) => drawing)).keys()];
  if (!used.some(isOutlined)) return pages;
  const outlined = outliner(typeface, isOutlined);
  return pages.map((page) => ({ ...page, drawing: outlined(page.drawing) }));
}

function embedFonts(
  objects: PdfObjects,
  drawings: readonly Drawing[],
  sources: PdfSources,
  subset: Subsetter,
): Map<string, EmbeddedFont> {
  const fonts = new Map<string, EmbeddedFont>();
  for (const [id, glyphs] of usedGlyphs(drawings)) {
    const typeface = sources.typeface(id);
    if (typeface) fonts.set(id, embedTypeface(objects, typeface, glyphs, subset));
  }
  return fonts;
}

async function embedPictures(
  objects: PdfObjects,
  drawings: readonly Drawing[],
  sources: PdfSources,
  platform: Platform,
): Promise<Map<string, PdfRef>> {
  const named = new Set<string>();
  for (const drawing of drawings) {
    walkDrawing(drawing, (node) => {
      if (node.kind === 'image') named.add(node.art);
    });
  }
  const pictures = new Map<string, PdfRef>();
  for (const id of named) {
    const raw = sources.pixels?.(id);
    if (raw) {
      pictures.set(id, embedPixels(objects, raw, false));
      continue;
    }
    try {
      const found = findPicture(sources, id);
      if (found) pictures.set(id, await embedPicture(objects, platform, found.art, found.bytes));
    } catch {
      continue; // a damaged picture is not drawn, and the proof tells it
    }
  }
  return pictures;
}

/** A picture by the id of its art, or one that a vector picture holds itself. */
function findPicture(
  sources: PdfSources,
  id: string,
): { art: Parameters<typeof embedPicture>[2]; bytes: Uint8Array } | undefined {
  const own = findDataBytes(id);
  if (own) {
    const format = id.startsWith('data:image/jpeg') ? 'jpeg' : 'png';
    const { width, height } = pictureSize(format, own);
    return { art: { format, pixelWidth: width, pixelHeight: height }, bytes: own };
  }
  const [art, bytes] = [sources.art(id), sources.bytes(id)];
  return art?.kind === 'pixels' && bytes ? { art, bytes } : undefined;
}

async function embedShadows(
  objects: PdfObjects,
  drawings: readonly Drawing[],
  sources: PdfSources,
  platform: Platform,
): Promise<Map<ShadowNode, { picture: PdfRef; map: Affine }>> {
  const nodes = new Set<ShadowNode>();
  for (const drawing of drawings)
    walkDrawing(drawing, (node) => {
      if (node.kind === 'shadow') nodes.add(node);
    });
  const made = new Map<ShadowNode, { picture: PdfRef; map: Affine }>();
  const shades = await drawShadows(platform, [...nodes], (pages) =>
    writePdf(platform, pages, sources),
  );
  for (const [node, { shade, map }] of shades)
    made.set(node, { picture: embedShade(objects, shade, node.color), map });
  return made;
}
