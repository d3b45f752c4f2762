import { contentHash } from '../../core/base/index.ts';
import { bytesOf } from '../storage/index.ts';

/** A typeface as a browser shows those of its computer. Source: Local Font Access (WICG). */
interface InstalledFont {
  readonly family: string;
  readonly fullName: string;
  blob(): Promise<Blob>;
}

/** A family of this computer. */
export interface InstalledFamily {
  readonly name: string;
  readonly fonts: readonly InstalledFont[];
}

type Query = () => Promise<readonly InstalledFont[]>;
const query = (): Query | undefined =>
  (globalThis as { queryLocalFonts?: Query }).queryLocalFonts?.bind(globalThis);

/** Whether this browser can show the typefaces of its computer. */
export const showsInstalled = (): boolean => query() !== undefined;

/** The families of this computer by name; none where the user or the browser does not allow it. */
export async function installedFamilies(): Promise<InstalledFamily[]> {
  const families = new Map<string, InstalledFont[]>();
  for (const font of (await query()?.()) ?? [])
    families.set(font.family, [...(families.get(font.family) ?? []), font]);
  return [...families]
    .map(([name, fonts]) => ({ name, fonts }))
    .sort((one, other) => one.name.localeCompare(other.name));
}

/** The files of a family: one that holds several of its cuts comes once. */
export async function filesOfFamily({ fonts }: InstalledFamily): Promise<File[]> {
  const files = new Map<string, File>();
  for (const font of fonts) {
    const blob = await font.blob();
    const id = contentHash(await bytesOf(blob));
    if (!files.has(id)) files.set(id, new File([blob], font.fullName));
  }
  return [...files.values()];
}
