export { parseAddress, type DeviceKind } from './address.ts';
export { cutOverTcp } from './hpgl-socket.ts';
export { StandInCutter, type StandInCut } from './hpgl-stand-in.ts';
export {
  askPrinter,
  printOverIpp,
  type PrintDone,
  type PrinterTold,
  type PrintSettings,
  type WirePrint,
} from './ipp-client.ts';
export {
  PRINTER_STOPS,
  StandInPrinter,
  type PrinterStop,
  type PrintPages,
  type StandInJob,
} from './ipp-stand-in.ts';
export { nodePlatform } from './node-platform.ts';
export { ippPrinter, tcpCutter } from './devices.ts';
