// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // cashFlow.tsx
  noSpendingInThesePeriods: "No spending in these periods",
  chooseOtherProjects: "Choose other projects, or the whole plan.",
  chartAndFigures: "Chart and figures",
  scope: "Scope",
  // cashTable.tsx
  total: "Total",
  before: "Before",
  // expenseColumns.tsx
  item: "Item",
  supplierOrEmpty: "Supplier, or empty",
  project: "Project",
  type: "Type",
  when: "When",
  aPercentageFrom0: "A percentage from 0 to 100",
  state: "State",
  capitalOrOperating: "Capital or operating",
  // expenseSheet.tsx
  newExpense: "New expense",
  save: "Save",
  clear: "Clear",
  amount: "Amount",
  tax: "Tax",
  toPay: "To pay",
  supplier: "Supplier",
  aName: "A name",
  taxPercent: "Tax, %",
  from0To100: "From 0 to 100, or empty",
  task: "Task",
  // expenses.tsx
  beforeTax: "before tax",
  committedOrPaid: "committed or paid",
  noExpensesYet: "No expenses yet",
  purchasesForProjectsHireFreight:
    "Purchases for projects: hire, freight, travel, licences. Add an expense, or import a list under People, Import and export.",
  // loadsPreview.tsx
  hoursAMonthBefore: "Hours a month, before and after",
  // margin.tsx
  projects: "Projects",
  overTheWholePlan: "over the whole plan",
  clients: "Clients",
  noProjectsYet: "No projects yet",
  revenueAndCostOfEach: "Revenue and cost of each project appear here. Add projects under Work.",
  name: "Name",
  marginPercent: "Margin, %",
  noRevenue: "no revenue",
  // marginSheet.tsx
  monthByMonth: "Month by month",
  revenue: "Revenue",
  cost: "Cost",
  budget: "Budget",
  budgetRemaining: "Budget remaining",
  whoWorksOnIt: "Who works on it",
  // materials.tsx
  materialNeeded: "material needed",
  materialsNeeded: "materials needed",
  noMaterialIsNeeded: "No material is needed in these periods",
  materialsByPeriodWasteIncluded: "Materials by period, waste included",
  material: "Material",
  firstNeeded: "First needed",
  // money.tsx
  noResults: "No results",
  noFiguresYet: "No figures yet",
  costAndRevenueAppearHere: "Cost and revenue appear here once projects have work and rates.",
  // moneyExport.tsx
  export: "Export",
  tableAsCsv: "Table as CSV",
  tableAsXlsx: "Table as XLSX",
  print: "Print…",
  // moneyGaps.tsx
  rateMissing: "rate missing",
  ratesMissing: "rates missing",
  exchangeRateMissing: "exchange rate missing",
  exchangeRatesMissing: "exchange rates missing",
  // moneyScreen.tsx
  table: "Table",
  cashFlow: "Cash flow",
  actuals: "Actuals",
  earnedValue: "Earned value",
  bookings: "Bookings",
  margin: "Margin",
  expenses: "Expenses",
  materials: "Materials",
  money: "Money",
  aboutMoney: "About money",
  // moneySheet.tsx
  lines: "Lines",
  deductedFromTheBudget: "Deducted from the budget",
  theProject: "The project",
  breakItDownBy: "Break it down by",
  howIsItCalculated: "How is it calculated?",
  // moneyTable.tsx
  atTheEnd: "At the end",
  allTotal: "All, total",
  // moneyTools.tsx
  groupBy: "Group by",
  figure: "Figure",
  kindOfCost: "Kind of cost",
  periods: "Periods",
  time: "Time",
  // withinLine.tsx
  only: "Only",
} as const;
