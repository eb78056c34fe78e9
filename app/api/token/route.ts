// The token that changes carry. Only the application's own pages, and programs of the person who may ask, can read an answer.

export const dynamic = "force-dynamic";

export function GET(): Response {
  return Response.json({ token: process.env.ROSTER_TOKEN ?? "" }, { headers: { "cache-control": "no-store" } });
}
