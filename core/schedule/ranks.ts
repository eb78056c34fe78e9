// The ranks of bounds: of equal ones the lowest decides. A link's rank is its row.

export const [NOT_BEFORE_RANK, LEAST_FINISH_RANK, STATUS_DATE_RANK, PROJECT_START_RANK] = [
  2_000_000_000, 2_000_000_001, 2_000_000_002, 2_000_000_003,
];
