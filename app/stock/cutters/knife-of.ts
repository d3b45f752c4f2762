import type { Knife, KnifeSetting } from '../../../core/cutting/index.ts';
import type { Cutter, Material } from '../../../core/stock/index.ts';

/** How a cutter is to cut a material: its knife, and force and speed within what it can. */
export function knifeOf(cutter: Cutter, { cut }: Material): Knife {
  const within = (setting: KnifeSetting | null): KnifeSetting | null =>
    setting && {
      ...setting,
      force:
        setting.force === null
          ? null
          : Math.min(cutter.mostForce, Math.max(cutter.leastForce, setting.force)),
    };
  return {
    offset: cutter.knifeOffset,
    overcut: cutter.overcut,
    settings: {
      kiss: within(cut.kiss),
      through: within(cut.through),
      crease: within(cut.crease),
    },
  };
}
