import { createRouter, createWebHistory } from 'vue-router';
import ShelfView from './shelf/ShelfView.vue';

/** The views of the workshop and the desks of a job. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    {
      path: '/job/:id',
      component: () => import('./job/JobView.vue'),
      props: true,
      children: [
        { path: '', redirect: { name: 'artwork' } },
        { path: 'size', name: 'size', component: () => import('./job/size/SizeDesk.vue') },
        { path: 'stock', name: 'stock', component: () => import('./job/stock/StockDesk.vue') },
        {
          path: 'artwork',
          name: 'artwork',
          component: () => import('./job/artwork/ArtworkDesk.vue'),
        },
        { path: 'edge', name: 'edge', component: () => import('./job/edge/EdgeDesk.vue') },
        { path: 'sheet', name: 'sheet', component: () => import('./job/sheet/SheetDesk.vue') },
        { path: 'proof', name: 'proof', component: () => import('./job/proof/ProofDesk.vue') },
        { path: 'run', name: 'run', component: () => import('./job/run/RunDesk.vue') },
      ],
    },
    { path: '/art', name: 'art-drawer', component: () => import('./art/ArtDrawerView.vue') },
    {
      path: '/stock/:part(sheets|discs|materials|printers|cutters|on-hand)?',
      name: 'stock-room',
      component: () => import('./stock/StockRoomView.vue'),
    },
    { path: '/ledger', name: 'ledger', component: () => import('./ledger/LedgerView.vue') },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
