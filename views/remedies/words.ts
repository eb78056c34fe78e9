// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // remedyList.tsx
  remedies: "Remedies",
  showFewer: "Show fewer",
  endThePreview: "End the preview",
  preview: "Preview",
  apply: "Apply",
  tryInASketch: "try in a sketch",
} as const;
