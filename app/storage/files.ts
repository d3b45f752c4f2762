/** Bytes as a blob; they are not copied first, as they are never those of memory that is shared. */
export const blobOf = (bytes: Uint8Array, type = ''): Blob =>
  new Blob([bytes as Uint8Array<ArrayBuffer>], { type });

/** Hands a file to the user. */
export function download(name: string, bytes: Uint8Array, type: string): void {
  const url = URL.createObjectURL(blobOf(bytes, type));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Asks the user for files; gives none when they change their mind. */
export function chooseFiles(accept: string, several = false): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = several;
    input.addEventListener('change', () => resolve([...(input.files ?? [])]));
    input.addEventListener('cancel', () => resolve([]));
    input.click();
  });
}

/** The bytes of a file. */
export async function bytesOf(file: Blob): Promise<Uint8Array> {
  return new Uint8Array(await file.arrayBuffer());
}
