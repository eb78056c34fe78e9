// Brings in what a fresh clone lacks: the packages of the lockfile, and Debian's Chromium for browser tests.
import { createHash } from "node:crypto";
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { passes, run } from "./commands.mjs";

const NOTE = "node_modules/.installed-from";
const LOCK = "package-lock.json";

/** Install scripts of packages are not needed, and the files of this one come with every build. */
const INSTALLING = ["--no-audit", "--no-fund", "--ignore-scripts"];
const WITHOUT_BROWSER = { PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: "1" };

/** Chromium without windows: pages are ready in little more than half the time that the full browser takes here. */
export const CHROMIUM = "/usr/bin/chromium-headless-shell";

/** Installs the packages of the lockfile, unless that has been done since it last changed. */
export async function installPackages() {
  if (existsSync(NOTE) && readFileSync(NOTE, "utf8") === markOfLock()) return;
  if (!(await installAside(JSON.parse(readFileSync(LOCK, "utf8"))))) {
    console.log("Not all packages were found where registries usually have them; they are looked for one by one now.");
    await run("npm", ["ci", ...INSTALLING], WITHOUT_BROWSER);
  }
  noteInstalled();
}

/** Notes that the packages are those of the lockfile, so that they are not installed again. */
export function noteInstalled() {
  writeFileSync(NOTE, markOfLock());
}

const markOfLock = () => createHash("sha256").update(readFileSync(LOCK, "utf8")).digest("hex");

/** Not in the project itself: npm would find two lockfiles there if this were ended half way. */
const ASIDE = ".install";
/** No registry at all: npm puts the one that it is set to in its place. */
const ANY_REGISTRY = "https://registry.invalid/";

/** Installs with a lockfile that says where each package lies, as registries have them; the one of the project names no
 * registry, so that npm would ask for everything there is to know of each package first, which takes as long again.
 * @returns Whether it has worked: a registry may have them elsewhere. */
async function installAside(lock) {
  rmSync(ASIDE, { recursive: true, force: true });
  mkdirSync(ASIDE);
  for (const file of ["package.json", ".npmrc"]) cpSync(file, join(ASIDE, file));
  writeFileSync(join(ASIDE, LOCK), JSON.stringify(withAddresses(lock)));
  const isInstalled = await passes("npm", ["ci", ...INSTALLING, "--replace-registry-host=always", "--prefix", ASIDE], WITHOUT_BROWSER);
  if (isInstalled) {
    rmSync("node_modules", { recursive: true, force: true });
    renameSync(join(ASIDE, "node_modules"), "node_modules");
  }
  rmSync(ASIDE, { recursive: true, force: true });
  return isInstalled;
}

/** A lockfile whose packages have an address each, except for those that come within another. */
function withAddresses(lock) {
  const placed = ([path, entry]) => {
    if (path === "" || entry.inBundle || entry.resolved) return [path, entry];
    const name = entry.name ?? path.split("node_modules/").at(-1);
    return [path, { ...entry, resolved: `${ANY_REGISTRY}${name}/-/${name.split("/").at(-1)}-${entry.version}.tgz` }];
  };
  return { ...lock, packages: Object.fromEntries(Object.entries(lock.packages).map(placed)) };
}

/** Installs Chromium from Debian's packages where it is missing. */
export async function installChromium() {
  if (existsSync(CHROMIUM)) return;
  if (process.getuid?.() !== 0) {
    console.error(`The browser tests need ${CHROMIUM}. Install Debian's package chromium-headless-shell, or run this as root.`);
    process.exit(1);
  }
  await run("apt-get", ["update"]);
  await run("apt-get", ["install", "-y", "--no-install-recommends", "chromium-headless-shell"], { DEBIAN_FRONTEND: "noninteractive" });
}
