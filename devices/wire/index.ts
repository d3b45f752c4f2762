export { parseAddress } from './address.ts';
export { cutOverTcp } from './hpgl-socket.ts';
export { SimulatedNetworkCutter, type NetworkCut } from './simulated-network-cutter.ts';
export {
  askPrinter,
  printOverIpp,
  type PrintDone,
  type PrintSettings,
  type WirePrint,
} from './ipp-client.ts';
export {
  PRINTER_STOPS,
  SimulatedNetworkPrinter,
  type PrinterStop,
  type PrintPages,
  type NetworkPrintJob,
} from './simulated-network-printer.ts';
export { SimulatedNetworkDevices } from './simulated-network-devices.ts';
export { nodePlatform } from './node-platform.ts';
export { ippPrinter, tcpCutter } from './devices.ts';
