// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // assignSheet.tsx
  howMuch: "How much",
  pencilItIn: "Pencil it in",
  assign: "Assign",
  noneOfItsHoursFall: "None of its hours fall on these days.",
  withText: "With",
  lastDay: "Last day",
  theRestStaysUnassigned: "The rest stays unassigned",
  // candidateColumns.tsx
  room: "Room",
  byWeekAgainstTheHours: "By week, against the hours needed",
  ofTheHoursTheyCover: "Of the hours they cover",
  assign2: "Assign…",
  who: "Who",
  covers: "Covers",
  theShareThatFits: "The share that fits their room, day by day",
  fit: "Fit",
  howTheirSkillsMatchThose: "How their skills match those needed: level out of 5",
  margin: "Margin",
  theProjectsMarginIfThey: "The project’s margin if they did all the work",
  // candidatePanel.tsx
  nobodyHasTheRole:
    "Nobody has the role and every skill at the level needed. The closest candidates are listed below with what is missing.",
  // candidateTable.tsx
  missingARoleOrSkill: "Missing a role or skill",
  // compare.tsx
  comparison: "Comparison",
  roomByWeek: "Room by week",
  closeComparison: "Close comparison",
  // freeSheet.tsx
  availability: "Availability",
  fromText: "From",
  until: "Until",
  addAnotherRole: "Add another role",
  peopleWithEnoughRoom: "People with enough room",
  nobodyHasEnoughRoomThen: "Nobody has enough room then",
  later: "Later",
  notInThisPlan: "not in this plan",
  nobodyHasThisRole: "Nobody has this role and skill.",
  // freeTeamView.tsx
  thisTeamHasEnoughRoom: "This team has enough room then",
  thereIsRoomFor: "There is room for",
  all: "All",
  nobodyHasRoom: "Nobody has room for it within this plan.",
  project: "Project",
  task: "Task",
  taskName: "Task name",
  // needFields.tsx
  role: "Role",
  removeThisRole: "Remove this role",
  skill: "Skill",
  level: "Level",
  hours: "Hours",
  // openingList.tsx
  openings: "Openings",
  opening: "Opening",
  unassigned: "Unassigned",
  noDates: "no dates",
  // openings.tsx
  noOpenings: "No openings",
  selectPipelineToIncludeProjects: "Select “Pipeline” to include projects that are not won yet.",
  noResults: "No results.",
  pipeline: "Pipeline",
  searchOpenings: "Search openings",
  search: "Search",
  proposeForAll: "Propose for all",
  // proposalSheet.tsx
  proposalForAll: "Proposal for all",
  stopAndUseTheBest: "Stop and use the best result so far",
  twoPeopleMayShare: "Two people may share an opening",
  noSuitablePersonHasRoom: "No suitable person has room.",
  unassigned2: "Unassigned:",
  assigningThemOneByOne: "Assigning them one by one would cover as much.",
  // requests/answerSheet.tsx
  itsWorkWasRemoved: "Its work was removed from the plan. Send the request again if it is still needed.",
  history: "History",
  answer: "Answer",
  messageOrReason: "Message or reason",
  confirm: "Confirm",
  offer: "Offer",
  decline: "Decline",
  // requests/askSheet.tsx
  requestPeople: "Request people",
  note: "Note",
  sendRequest: "Send request",
  roleOrPerson: "Role or person",
  asTheTask: "as the task",
  theRequestIncludesTheTasks: "The request includes the task’s skills.",
  // requests/outbox.tsx
  outbox: "Outbox",
  searchMessages: "Search messages",
  noMessagesYet: "No messages yet",
  eachStepOfARequest:
    "Each step of a request, and each signal sent to a colleague, creates a message. Messages stay on this machine and are listed here.",
  // requests/requestTables.tsx
  requests: "Requests",
  forText: "For",
  requested: "Requested",
  dates: "Dates",
  state: "State",
  firmnessOfTheHours: "Firmness of the hours",
  // requests/requests.tsx
  noRequestsYet: "No requests yet",
  // tabs.tsx
  list: "List",
  openingsAndRequests: "Openings and requests",
} as const;
