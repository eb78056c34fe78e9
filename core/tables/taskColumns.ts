// The columns of the table of tasks, apart from what reads them: a screen can match headers without the plan's schemas.
import type { TableColumn } from "./table.ts";

export const taskColumns: readonly TableColumn[] = [
  { key: "id", name: "Task id", aliases: ["id", "taskid"] },
  { key: "project", name: "Project", isNeeded: true, aliases: ["projekt", "projeto", "projet", "proyecto"] },
  { key: "name", name: "Task", isNeeded: true, aliases: ["taskname", "aufgabe", "vorgang", "tarefa", "ulesanne", "tache", "tarea"] },
  { key: "parent", name: "Parent", aliases: ["parent", "below", "summary", "phase", "uber", "fase", "etapp"] },
  { key: "sizing", name: "Sized by", aliases: ["sizing", "mode"] },
  { key: "start", name: "Start", aliases: ["begin", "startdate", "beginn", "inicio", "algus", "debut"] },
  { key: "finish", name: "Finish", aliases: ["end", "enddate", "ende", "fim", "lopp", "fin"] },
  { key: "durationDays", name: "Working days", aliases: ["days", "duration", "dauer", "tage", "dias", "duracao", "paevad", "duree"] },
  { key: "effortHours", name: "Effort hours", aliases: ["effort", "work", "aufwand", "esforco", "maht", "charge"] },
  { key: "role", name: "Role", aliases: ["rolle", "funcao", "roll", "role", "fonction"] },
  { key: "notBefore", name: "Start no earlier than", aliases: ["notbefore", "earliest", "fruhestens"] },
  { key: "deadline", name: "Deadline", aliases: ["due", "duedate", "frist", "prazo", "tahtaeg", "echeance"] },
  { key: "percentComplete", name: "Done %", aliases: ["done", "percentcomplete", "progress", "fortschritt", "progresso"] },
  {
    key: "person",
    name: "Assigned to",
    isOnlyRead: true,
    aliases: [
      "person",
      "people",
      "who",
      "assignee",
      "assigned",
      "resource",
      "resources",
      "mitarbeiter",
      "zustandig",
      "responsavel",
      "inimene",
    ],
  },
  {
    key: "predecessors",
    name: "Predecessors",
    isOnlyRead: true,
    aliases: ["predecessor", "follows", "after", "dependson", "dependencies", "vorganger", "antecessoras", "eelnejad", "predecesseurs"],
  },
];
