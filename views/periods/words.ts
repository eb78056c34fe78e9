// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // chartColumn.tsx
  datesAsBars: "Dates as bars",
  // pipelineChoice.tsx
  pipeline: "Pipeline",
} as const;
