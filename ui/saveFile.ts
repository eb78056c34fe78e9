"use client";
// Files that the browser saves.

export function saveFile(file: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  // Some browsers begin to read it only after the click.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
