export {
  checkDigit,
  SMALLEST_MODULE,
  SYMBOLOGIES,
  tryEncode,
  type EncodedCode,
  type Symbology,
} from './code.ts';
