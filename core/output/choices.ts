import type { Correction, PaperSide } from '../stock/index.ts';
import type { FormChoices } from './form-fields.ts';

/** How files are written. */
export interface ExportChoices extends FormChoices {
  /** Whether the print file has the cut lines in inks of their own, on a layer. */
  readonly cutLayer: boolean;
  /** Whether letters are outlines, which need no typeface and cannot be searched. */
  readonly outlines: boolean;
  /** Whether the pictures of the print file are small ones, for a file to be sent. */
  readonly smallPictures: boolean;
  /** Of pictures of sheets. */
  readonly dpi: number;
  /** Whether what is to be approved is pictures beside the PDF. */
  readonly approvalPictures: boolean;
  /** Whether a PNG is clear where nothing prints. */
  readonly clear: boolean;
  /** How the printer and tray that it is for put a page on paper: undone on sheets with spots. */
  readonly printer?: Correction;
  /** Which side of the paper a print file has, where not both. */
  readonly side?: PaperSide;
  /** Of which sheets, by their numbers from 0; all of them unless given. */
  readonly sheets?: readonly number[];
}

/** How files are written unless anything else is chosen. */
export const USUAL_CHOICES: ExportChoices = {
  cutLayer: false,
  outlines: false,
  smallPictures: false,
  dpi: 300,
  approvalPictures: false,
  clear: false,
  shared: [],
  filled: false,
};
