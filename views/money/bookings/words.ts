// The texts of the list of bookings: short labels and sentences without figures.
export const texts = {
  // bookings.tsx
  all: "All",
  notMatched: "Not matched",
  booked: "booked, before tax",
  bookingsShown: "Bookings shown",
  import: "Import",
  addBooking: "Add booking",
  noBookingsYet: "No bookings yet",
  bookingsAreAmounts:
    "Bookings are the amounts that accounting has paid. Add one, or import a file of them: each row is matched with a planned expense.",
  everyBookingIsMatched: "Every booking is matched with a planned expense",
  // bookingColumns.tsx
  reference: "Reference",
  aReferenceOrNothing: "A reference, or nothing",
  supplier: "Supplier",
  project: "Project",
  bookedOn: "Booked on",
  plannedExpense: "Planned expense",
  notCounted: "The project does not record what happens, so this booking changes no figure.",
  aPositiveOrNegativeAmount: "An amount; a credit is negative",
  // bookingSheet.tsx
  aBooking: "A booking",
  newBooking: "New booking",
  notSavedYet: "Not saved yet",
  save: "Save",
  delete: "Delete",
  type: "Type",
  note: "Note",
  aNoteOrNothing: "A note, or nothing",
  enterAnAmount: "Enter an amount.",
  aName: "A name",
} as const;
