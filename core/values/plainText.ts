// Names and headers as they are compared.

/** Small letters and digits alone, accents removed: how headers and words are compared. */
export function plainText(text: string): string {
  return text
    .normalize("NFD")
    .replaceAll(/\p{Diacritic}/gu, "")
    .toLowerCase()
    .replaceAll("ß", "ss")
    .replaceAll(/[^\p{Letter}\p{Number}]/gu, "");
}
