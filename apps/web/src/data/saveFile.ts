/** Offers what stands at an address as a file to keep; the browser writes it as it comes. */
export function saveAddress(name: string, address: string): void {
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
}

/** Offers a text as a file to keep. */
export function saveFile(name: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  saveAddress(name, address);
  URL.revokeObjectURL(address);
}
