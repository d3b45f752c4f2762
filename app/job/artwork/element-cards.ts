import type { Component } from 'vue';
import type { PieceElement } from '../../../core/piece/index.ts';
import CodeCard from './CodeCard.vue';
import CombinedCard from './combined/CombinedCard.vue';
import LineCard from './lines/LineCard.vue';
import OrnamentCard from './ornaments/OrnamentCard.vue';
import PictureCard from './PictureCard.vue';
import PlateCard from './PlateCard.vue';
import StickerCard from './stickers/StickerCard.vue';
import LettersCard from './words/LettersCard.vue';
import WordsCard from './WordsCard.vue';

/** The cards of each kind of element: each is given the desk and the element. */
export const ELEMENT_CARDS: Readonly<Record<PieceElement['kind'], readonly Component[]>> = {
  words: [WordsCard, LettersCard],
  picture: [PictureCard],
  plate: [PlateCard],
  piece: [StickerCard],
  ornament: [OrnamentCard],
  line: [LineCard],
  combined: [CombinedCard],
  code: [CodeCard],
};

/** The kinds of which several are changed at once; the first of them is shown. */
export const SEVERAL_AT_ONCE: ReadonlySet<PieceElement['kind']> = new Set(['words']);
