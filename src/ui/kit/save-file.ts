/** Offers words or a picture as a file to keep, made on this page and sent nowhere. */
export function saveFile(name: string, type: string, content: BlobPart): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
