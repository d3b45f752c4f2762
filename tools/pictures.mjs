// The ready-made pictures of the Art drawer: colour drawings by subject, taken from an openly licensed
// set among the installed packages. One file a subject, so that a page loads what is looked at.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const SET = 'node_modules/@iconify-json/fluent-emoji-flat';

const names = (text) => text.trim().split(/\s+/);
const PLANTS =
  names(`blossom bouquet cactus cherry-blossom deciduous-tree evergreen-tree fallen-leaf
  four-leaf-clover herb hibiscus hyacinth leaf-fluttering-in-wind lotus maple-leaf palm-tree potted-plant
  rose rosette seedling shamrock sheaf-of-rice sunflower tulip wilted-flower mushroom
  brown-mushroom wood`);

/** Subjects with the drawings of each: whole categories of the set, less and more by name. */
const SUBJECTS = {
  plants: { more: PLANTS },
  animals: {
    category: 'Animals & Nature',
    less: [...PLANTS, ...names('microbe cockroach guide-dog service-dog moose')],
  },
  kitchen: {
    category: 'Food & Drink',
    less: names('baby-bottle mushroom brown-mushroom sake cigarette'),
    more: names('broom sponge soap bucket basket candle lotion-bottle'),
  },
  seasons: {
    more: names(`snowflake snowman snowman-without-snow sun sun-with-face sun-behind-cloud
      sun-behind-rain-cloud cloud cloud-with-rain cloud-with-snow cloud-with-lightning rainbow umbrella
      umbrella-with-rain-drops closed-umbrella christmas-tree jack-o-lantern wrapped-gift balloon
      party-popper confetti-ball sparkler fireworks kite sled ice-skate beach-with-umbrella sunrise
      sunset full-moon crescent-moon star glowing-star shooting-star droplet fire wind-face thermometer
      teddy-bear bell ribbon birthday-cake nest-with-eggs hatching-chick scarf gloves coat sunglasses
      autumn tent camping mountain snow-capped-mountain`),
  },
  tools: {
    more: names(`hammer wrench screwdriver axe carpentry-saw pick hammer-and-wrench ladder toolbox
      magnet hook gear nut-and-bolt clamp scissors straight-ruler triangular-ruler paintbrush
      fountain-pen pen pencil crayon artist-palette thread yarn sewing-needle safety-pin paperclip
      linked-paperclips pushpin round-pushpin label package envelope open-book closed-book notebook
      scroll memo clipboard calendar key old-key locked unlocked light-bulb flashlight
      magnifying-glass-tilted-left balance-scale hourglass-done alarm-clock watch compass telescope
      microscope test-tube alembic camera bookmark shopping-bags shopping-cart money-bag coin
      plunger razor toothbrush bathtub bed chair door window house house-with-garden hut tractor
      bicycle delivery-truck wheel brick fishing-pole hiking-boot womans-boot womans-hat top-hat
      t-shirt dress socks guitar violin drum musical-note bell`),
  },
  hands: {
    more: names(`waving-hand raised-hand raised-back-of-hand hand-with-fingers-splayed ok-hand
      pinched-fingers pinching-hand victory-hand crossed-fingers call-me-hand thumbs-up thumbs-down
      raised-fist oncoming-fist left-facing-fist right-facing-fist clapping-hands raising-hands
      heart-hands open-hands palms-up-together handshake folded-hands writing-hand leftwards-hand
      rightwards-hand palm-down-hand palm-up-hand backhand-index-pointing-left
      backhand-index-pointing-up backhand-index-pointing-down foot footprints ear eye eyes`),
  },
  signs: {
    more: names(`red-heart orange-heart yellow-heart green-heart blue-heart purple-heart brown-heart
      black-heart white-heart beating-heart growing-heart sparkling-heart heart-with-arrow
      heart-with-ribbon two-hearts check-mark check-mark-button cross-mark plus minus warning
      no-entry prohibited recycling-symbol information right-arrow left-arrow up-arrow down-arrow
      up-right-arrow right-arrow-curving-left infinity sparkles sparkle star eight-pointed-star
      dotted-six-pointed-star large-orange-diamond large-blue-diamond red-circle orange-circle
      yellow-circle green-circle blue-circle purple-circle brown-circle black-circle white-circle
      fleur-de-lis potable-water litter-in-bin-sign high-voltage medical-symbol red-exclamation-mark
      red-question-mark copyright trophy crown gem-stone bullseye musical-notes musical-score
      keycap-0 keycap-1 keycap-2 keycap-3 keycap-4 keycap-5 keycap-6 keycap-7 keycap-8 keycap-9
      chequered-flag white-flag black-flag triangular-flag speech-balloon thought-balloon zzz`),
  },
};

const MIT = `Permission is hereby granted, free of charge, to any person obtaining a copy of this software
and associated documentation files (the "Software"), to deal in the Software without restriction,
including without limitation the rights to use, copy, modify, merge, publish, distribute, sublicense,
and/or sell copies of the Software, and to permit persons to whom the Software is furnished to do so,
subject to the following conditions:

The above copyright notice and this permission notice shall be included in all copies or substantial
portions of the Software.

THE SOFTWARE IS PROVIDED "AS IS", WITHOUT WARRANTY OF ANY KIND, EXPRESS OR IMPLIED, INCLUDING BUT NOT
LIMITED TO THE WARRANTIES OF MERCHANTABILITY, FITNESS FOR A PARTICULAR PURPOSE AND NONINFRINGEMENT. IN
NO EVENT SHALL THE AUTHORS OR COPYRIGHT HOLDERS BE LIABLE FOR ANY CLAIM, DAMAGES OR OTHER LIABILITY,
WHETHER IN AN ACTION OF CONTRACT, TORT OR OTHERWISE, ARISING FROM, OUT OF OR IN CONNECTION WITH THE
SOFTWARE OR THE USE OR OTHER DEALINGS IN THE SOFTWARE.
`;

/** What a drawing may be made of to be read as shapes. */
const PLAIN = /^(?:<\/?(?:g|path|circle|ellipse|rect)\b[^>]*>|\s)+$/;

/** Writes the pictures and their index into `.cache/public/pictures/`; says how many there are. */
export function collectPictures(root) {
  const target = join(root, '.cache/public/pictures');
  const { icons, width, height } = JSON.parse(readFileSync(join(root, SET, 'icons.json'), 'utf8'));
  const { categories } = JSON.parse(readFileSync(join(root, SET, 'metadata.json'), 'utf8'));
  mkdirSync(target, { recursive: true });
  const index = [];
  for (const [subject, { category, less = [], more = [] }] of Object.entries(SUBJECTS)) {
    const wanted = [...(category ? categories[category] : []), ...more];
    const found = {};
    for (const id of wanted) {
      const body = icons[id]?.body;
      if (less.includes(id) || !body || !PLAIN.test(body) || found[id]) continue;
      found[id] =
        `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="40mm" ` +
        `viewBox="0 0 ${width} ${height}">${body}</svg>`;
      const words = id.replace(/-/g, ' ');
      index.push({ id, subject, name: words[0].toUpperCase() + words.slice(1) });
    }
    writeFileSync(join(target, `${subject}.json`), JSON.stringify(found));
  }
  writeFileSync(join(target, 'index.json'), JSON.stringify(index));
  const { name, author } = JSON.parse(readFileSync(join(root, SET, 'info.json'), 'utf8'));
  writeFileSync(join(target, 'LICENCE.txt'), `${name}\n\nCopyright (c) ${author.name}\n\n${MIT}`);
  return index.length;
}
