// Runs once when the server starts: opens the plan, and closes it when the server is asked to stop.

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { startServer } = await import("./app/start.ts");
  await startServer();
}
