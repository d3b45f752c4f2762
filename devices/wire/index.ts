export { parseAddress } from './address.ts';
export { cutOn, helloCutter, listPorts, type CutSent } from './cutters/index.ts';
export { SimulatedNetworkCutter, type NetworkCut } from './stand-ins/simulated-network-cutter.ts';
export {
  askPrinter,
  printOverIpp,
  type PrintDone,
  type PrintSettings,
  type WirePrint,
} from './ipp/ipp-client.ts';
export {
  PRINTER_STOPS,
  SimulatedNetworkPrinter,
  type PrinterStop,
  type PrintPages,
  type NetworkPrintJob,
} from './stand-ins/simulated-network-printer.ts';
export { SimulatedNetworkDevices } from './stand-ins/simulated-network-devices.ts';
export { nodePlatform } from './node-platform.ts';
export { ippPrinter, realCutter } from './devices.ts';
export { findDevices } from './finding/find-devices.ts';
export { pictureOf } from './ipp/printer-picture.ts';
export { AccessFile } from './ipp/access-file.ts';
export { type Access, type Login } from './ipp/ipp-line.ts';
