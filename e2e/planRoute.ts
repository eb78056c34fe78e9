// Edits and plan files by HTTP, as a program sends them, and the plan as it is.
import { postTo, type Server } from "./server.ts";

interface Answer {
  status: number;
  json: { revision: number; faults: { place: string; message: string }[] } & Record<string, unknown>;
}

export async function postJson(server: Server, path: string, body: string | object): Promise<Answer> {
  const response = await postTo(server, path, typeof body === "string" ? body : JSON.stringify(body));
  return { status: response.status, json: await response.json() };
}

/** One assignment of the demo plan for someone else. */
export const giveRockpools = (base: number, personId: string) => ({
  base,
  request: { kind: "edit", edit: { kind: "reassign", id: "rockpools-mara", personId } },
});

export async function planOf({ url }: Server): Promise<{
  revision: number;
  plan: {
    settings: { name: string };
    assignments: { id: string; personId?: string }[];
    tasks: { id: string; name: string }[];
    rateTables: object[];
  };
}> {
  return (await fetch(`${url}/api/plan`)).json();
}
