// The lists of names: what each is called, and where its screen is.
import type { NameList } from "../../core/answers/nameList.ts";

/** The name of each list, and of one of its rows. */
export const listNames: Record<NameList, { many: string; one: string }> = {
  roles: { many: "Roles", one: "role" },
  skills: { many: "Skills", one: "skill" },
  clients: { many: "Clients", one: "client" },
  categories: { many: "Categories", one: "category" },
  places: { many: "Places", one: "place" },
  materials: { many: "Materials", one: "material" },
  rateTables: { many: "Rate tables", one: "rate table" },
};

/** The path of a list's screen. */
export const pathOfList = (list: NameList): string => `/settings/${list === "rateTables" ? "rate-tables" : list}`;
