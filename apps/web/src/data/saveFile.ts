/** Offers what stands at an address as a file to keep; the browser writes it as it comes. */
export function saveAddress(name: string, address: string): void {
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
}

/** Offers a text as a file to keep. */
export const saveText = (name: string, text: string, type: string): void => saveBlob(name, new Blob([text], { type }));

/** The same of JSON. */
export const saveFile = (name: string, text: string): void => saveText(name, text, 'application/json');

/** Offers bytes, as base64, as a file to keep. */
export const saveBase64 = (name: string, type: string, base64: string): void =>
  saveBlob(name, new Blob([Uint8Array.from(atob(base64), (each) => each.charCodeAt(0))], { type }));

function saveBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  saveAddress(name, address);
  URL.revokeObjectURL(address);
}
