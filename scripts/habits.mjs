// Habits that lint does not know: no function over 60 lines, and no view that names more than six utilities in one string
// (what looks like that belongs to ui/).
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const MOST_LINES = 60;
const MOST_UTILITIES = 6;

const listed = execFileSync("git", ["ls-files", "--cached", "--others", "--exclude-standard"], { encoding: "utf8" }).split("\n");
const files = listed.filter((file) => /^(app|cli|client|core|interchange|store|ui|views)\/.*\.tsx?$/.test(file) && !/\.test\./.test(file));
const faults = [];
for (const file of files) {
  const text = readIfThere(file);
  faults.push(...longFunctions(file, text.split("\n")));
  // Pages that stand alone bring their own style.
  if (file.startsWith("views/") && !/Page\.tsx$/.test(file)) faults.push(...longLooks(file, text));
}
for (const fault of faults) process.stderr.write(`${fault}\n`);
process.stdout.write(`habits: ${files.length} files, ${faults.length} departures\n`);
process.exit(faults.length > 0 ? 1 : 0);

/** A file that is listed may have been deleted meanwhile. */
function readIfThere(file) {
  try {
    return readFileSync(file, "utf8");
  } catch {
    return "";
  }
}

/** Functions at the top level: from their first line to the brace in the first column that ends them. */
function longFunctions(file, lines) {
  const found = [];
  for (let at = 0; at < lines.length; at++) {
    const name = /^(?:export )?(?:default )?(?:async )?function (\w+)/.exec(lines[at])?.[1];
    if (!name) continue;
    let end = at;
    while (end < lines.length && lines[end] !== "}") end++;
    if (end - at + 1 > MOST_LINES) found.push(`${file}:${at + 1}: ${name} has ${end - at + 1} lines; split it.`);
  }
  return found;
}

function longLooks(file, text) {
  return [...text.matchAll(/[cC]lassName=(?:"([^"]*)"|\{`([^`]*)`\})/g)].flatMap((match) => {
    const look = (match[1] ?? match[2]).replace(/\$\{[^}]*\}/g, " ").trim();
    return look.split(/\s+/).length > MOST_UTILITIES ? [`${file}: "${look}" is a control that ui/ does not have yet.`] : [];
  });
}
