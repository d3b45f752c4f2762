export { knifeWay, PLAIN_KNIFE, type Knife, type KnifeSetting } from './knife.ts';
export { knifeRings, orderCuts, type OrderedCut } from './order.ts';
export { knifeAt, knifeMoves, knifeTime, type KnifeMove } from './time.ts';
export { shortTour, tourLength, type Tour, type Visit } from './tour.ts';
