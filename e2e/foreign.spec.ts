// Another site in the same browser, and a foreign name for this machine: neither changes nor reads anything.
import { createServer, request } from "node:http";
import type { AddressInfo } from "node:net";
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { load } from "./pages.ts";
import { postTo, type Server } from "./server.ts";

const edit = { base: 1, request: { kind: "edit", edit: { kind: "changeTask", id: "tidepool-order", set: { name: "Taken over" } } } };

/** A page of another site, for as long as `visit` looks at it. */
async function onOtherSite(visit: (url: string) => Promise<void>): Promise<void> {
  const site = createServer((_, response) => response.setHeader("content-type", "text/html").end("<h1>Another site</h1>"));
  await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
  try {
    await visit(`http://localhost:${(site.address() as AddressInfo).port}/`);
  } finally {
    site.close();
  }
}

const planOf = async ({ url }: Server) => JSON.stringify((await (await fetch(`${url}/api/plan`)).json()).plan);

test("another site's page can neither change the plan, nor replace it, nor frame a screen", async ({ page, server }) => {
  const before = await planOf(server);
  await onOtherSite(async (site) => {
    await page.goto(site);
    const sent = await page.evaluate(
      async ([url, body]) => {
        const post = (path: string) =>
          fetch(`${url}${path}`, { method: "POST", mode: "no-cors", body }).then(
            () => "sent",
            () => "stopped",
          );
        return Promise.all([post("/api/edits"), post("/api/plan/file?replace=yes")]);
      },
      [server.url, JSON.stringify(edit)],
    );
    expect(sent).toHaveLength(2);
    const read = await page.evaluate(
      (url) =>
        fetch(`${url}/api/plan`).then(
          () => "read",
          () => "stopped",
        ),
      server.url,
    );
    expect(read).toBe("stopped");
    await page.setContent(`<iframe src="${server.url}/balance"></iframe>`);
    await expect(page.frameLocator("iframe").getByText("Balance")).toHaveCount(0);
  });
  expect(await planOf(server)).toBe(before);
});

test("under a foreign name nothing is answered, and the headers say what a page may do", async ({ server }) => {
  const { hostname, port } = new URL(server.url);
  const status = await new Promise((resolve, reject) => {
    const asked = request({ hostname, port, path: "/api/plan", headers: { host: "elsewhere.example" } }, (answer) => {
      answer.resume();
      resolve(answer.statusCode);
    });
    asked.on("error", reject).end();
  });
  expect(status).toBe(421);
  const sent = (headers: Record<string, string>) =>
    postTo(server, "/api/edits", JSON.stringify(edit), headers).then((answer) => answer.status);
  expect(await sent({ origin: "https://elsewhere.example" })).toBe(403);
  expect(await sent({ "x-roster-token": "guessed" })).toBe(403);
  expect(await sent({ "content-type": "text/plain" })).toBe(415);
  const { headers } = await fetch(`${server.url}/balance`);
  expect(headers.get("content-security-policy")).toMatch(/script-src 'self' 'nonce-[^']+'.*frame-ancestors 'none'/);
  expect(headers.get("x-content-type-options")).toBe("nosniff");
  expect(headers.get("referrer-policy")).toBe("same-origin");
});

test("no screen asks for anything that its own policy forbids", async ({ page, server }) => {
  const forbidden: string[] = [];
  page.on("console", (message) => /Content Security Policy/i.test(message.text()) && forbidden.push(message.text()));
  const visit = async (own: Page, path: string) => {
    await load(own, server, path);
    await expect(own.locator("main, [data-ready=yes]").first()).toBeAttached();
  };
  for (const path of [
    "/balance?open=ines",
    "/work/tidepool?task=tidepool-cases",
    "/openings?sheet=proposal",
    "/people/person/tomas",
    "/rates",
    "/money",
  ])
    await visit(page, path);
  await visit(page, "/work/tidepool?task=project");
  await page.getByRole("button", { name: "Choose a date" }).first().click();
  await expect(page.getByRole("grid", { name: /2026|2027/ })).toBeVisible();
  expect(forbidden).toEqual([]);
});
