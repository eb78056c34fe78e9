// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // holidayPlace.tsx
  country: "Country",
  region: "Region",
  someRegionsHaveAdditionalHolidays: "Some regions have additional holidays",
  // weekFields.tsx
  n0To24: "0 to 24",
} as const;
