declare module 'jsbarcode' {
  /** Writes the bars of a linear code into `into.encodings`; throws when the text cannot be encoded. */
  export default function JsBarcode(
    into: { encodings?: { data: string; text: string }[] },
    text: string,
    options: { format: 'EAN13' | 'UPC' | 'CODE128'; flat?: boolean },
  ): void;
}
