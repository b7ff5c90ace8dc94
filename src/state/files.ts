/** Files out of the browser, and their sums. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export async function sha256(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const sum = await crypto.subtle.digest("SHA-256", bytes);
  return Array.from(new Uint8Array(sum), (byte) => byte.toString(16).padStart(2, "0")).join("");
}
