// The usage of the roster command.

export const usage = `roster <report> PLAN.json [options]

  check                                        faults and signals of a plan
  capacity  [--from D] [--to D] [--by GRAIN]   capacity of people, teams and roles
  schedule                                     dates, slack, drivers and conflicts
  load      [--from D] [--to D] [--by GRAIN]   load against capacity, assignments, openings
            [--pencilled yes|no] [--pipeline none|weighted|full]
  cost      [--from D] [--to D] [--by GRAIN]   cost, revenue and margin
  forecast  [--from D] [--to D] [--by GRAIN]   capacity and demand by role, with the pipeline
  earliest  --project ID [--tolerance HOURS]   hours short, for each week in which a project could start
  match     --opening ID                       candidates for an opening (an assignment, or a task's effort)
  remedies  --person ID [--from D] [--to D]    options for a person's overload, each with its effect
            [--take N --out FILE]              writes the plan after the N-th option to FILE
  even-out  [--from D] [--to D] [--role ID]    moves that reduce the overload, each with its effect
            [--kinds K,K] [--steps N | --seconds N] [--out FILE]
  progress  [--baseline ID]                    what is done, spent and left, and how that compares with a baseline
  baseline  --id ID --name NAME                the plan as promised today: its size
            [--projects ID,ID] [--out FILE]    writes the plan with the baseline to FILE
  timesheet --person ID [--from D] [--to D]    planned and recorded minutes of a person by day

D is a date, YYYY-MM-DD; --from and --to default to the planning horizon.
K is a kind of remedy; evening out makes give, handOver, share and delay, all by default.
GRAIN is day, week (default), month, quarter or year.
Minutes and minor units are whole numbers; shares are hundredths of a percent.
Exit status: 0; 1 when the plan is invalid, each fault on its own line; 2 for wrong usage.`;
