// Habits that lint does not know: no function over 60 lines, no view that names more than six utilities in one string
// (such a look belongs to ui/), and none of the words that we do not write.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { turnedRound, unwanted } from "./words.mjs";

const MOST_LINES = 60;
const MOST_UTILITIES = 6;

const listed = execFileSync("git", ["ls-files", "--cached", "--others", "--exclude-standard"], { encoding: "utf8" }).split("\n");
const files = listed.filter((file) => /^(app|cli|client|core|interchange|store|ui|views)\/.*\.tsx?$/.test(file) && !/\.test\./.test(file));
const worded = listed.filter((file) => /\.(tsx?|mjs|css|sql)$/.test(file) && !/^(scripts\/words\.mjs|tests\/(golden|cases)\/)/.test(file));
const faults = worded.flatMap((file) => unwantedWords(file, readIfThere(file).split("\n")));
for (const file of files) {
  const text = readIfThere(file);
  faults.push(...longFunctions(file, text.split("\n")));
  // Pages that are alone bring their own style.
  if (file.startsWith("views/") && !/Page\.tsx$/.test(file)) faults.push(...longLooks(file, text));
}
for (const fault of faults) process.stderr.write(`${fault}\n`);
process.stdout.write(`habits: ${worded.length} files, ${faults.length} departures\n`);
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

/** Lines with a word that we do not write, or a comment that begins with its object. */
function unwantedWords(file, lines) {
  return lines.flatMap((line, at) => {
    const found = unwanted.find(([pattern]) => pattern.test(line));
    const place = `${file}:${at + 1}`;
    if (found) return [`${place}: "${found[0].exec(line)[0]}" is not a word of ours; write "${found[1]}".`];
    return turnedRound.test(line) ? [`${place}: begin with the subject, not with "${turnedRound.exec(line)[2]}".`] : [];
  });
}

function longLooks(file, text) {
  return [...text.matchAll(/[cC]lassName=(?:"([^"]*)"|\{`([^`]*)`\})/g)].flatMap((match) => {
    const look = (match[1] ?? match[2]).replace(/\$\{[^}]*\}/g, " ").trim();
    return look.split(/\s+/).length > MOST_UTILITIES ? [`${file}: "${look}" is a control that ui/ does not have yet.`] : [];
  });
}
