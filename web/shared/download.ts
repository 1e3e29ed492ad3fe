/** Hands bytes or text to the user as a file. */
export function download(name: string, content: Uint8Array | string, type: string): void {
  const part = typeof content === 'string' ? content : new Uint8Array(content);
  const url = URL.createObjectURL(new Blob([part], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** "Hold one, drive one" → "hold-one-drive-one"; never empty, never a path. */
export function fileName(title: string, extension: string): string {
  const stem = title
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return `${stem || 'untitled'}.${extension}`;
}
