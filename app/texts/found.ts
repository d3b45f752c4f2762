/** Words of devices that are found by what they announce. */
export const found = {
  look: 'Look for devices',
  again: 'Look again',
  byHand: 'Add by its address',
  title: 'Found in this network and on cables',
  progress: 'How far the search is',
  close: 'Close',
  none: 'No device announces itself here.',
  noneHint:
    'See that it is on, and in the same network as this computer; then look again, or add it by its address.',
  asked: 'Nothing is sent to a device before you add it; then it is asked what it can.',
  add: 'Add',
  addSecure: 'Add over TLS',
  added: 'In the workshop',
  onCable: 'On a cable of this computer',
  color: 'Colour',
  grey: 'Black only',
  duplex: 'Both sides',
  pdf: 'Takes PDF',
  noPdf: 'Takes no PDF',
  takesLines: 'Takes cut lines on the network',
} as const;
