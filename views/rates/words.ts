// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // exchangeSheet.tsx
  exchangeRates: "Exchange rates",
  noneYetARateTable: "None yet. A rate table in another currency needs one from the first day of its work.",
  importAFile: "Import a file",
  anAmountAbove0: "An amount above 0",
  addARate: "Add a rate",
  currency: "Currency",
  fromText: "From",
  // missingRates.tsx
  n1RateMissing: "1 rate missing",
  addARow: "Add a row",
  // moneyChanges.tsx
  effectOnProjects: "Effect on projects",
  calculating: "Calculating…",
  total: "Total",
  calculatingTheEffectOnProjects: "Calculating the effect on projects…",
  // raiseSheet.tsx
  raiseRates: "Raise rates",
  percent: "Percent",
  raiseLaterRatesToo: "Raise later rates, too",
  roundTo: "Round to",
  // rateColumns.tsx
  rolePersonOrMaterial: "Role, person or material",
  usedInThePlan: "Used in the plan",
  untilTheNextDate: "until the next date",
  fromThisDate: "from this date",
  noExchangeRate: "no exchange rate",
  noRate: "no rate",
  noneStated: "none stated",
  unchangedFromTheDateBefore: "unchanged from the date before",
  // rateGrid.ts
  roles: "Roles",
  perHourOfTheRole: "per hour of the role",
  people: "People",
  overridesTheRolesRate: "overrides the role’s rate",
  everyoneElse: "Everyone else",
  appliesIfNeitherPersonNor: "applies if neither person nor role has a rate",
  materials: "Materials",
  perUnit: "per unit",
  // rateList.tsx
  noRatesYetAdd: "No rates yet. Add a role below, then type its rate per hour.",
  // rateTools.tsx
  aRateAppliesUntil: "A rate applies until the next one in its row. Shift and arrow keys select · Ctrl C, Ctrl V · Ctrl D fills down",
  rolePersonOrMaterialOfTheNew: "Role, person or material of the new rate",
  effectiveFrom: "Effective from",
  newRatesFrom: "New rates from",
  // rates.tsx
  rates: "Rates",
  noRateTablesYet: "No rate tables yet",
  settingsRateTables: "Settings, Rate tables",
  rateTable: "Rate table",
  figure: "Figure",
  compareWith: "Compare with",
  more: "More",
  theAmountsStayAsTyped: "The amounts stay as typed",
  copyThisTable: "Copy this table",
} as const;
