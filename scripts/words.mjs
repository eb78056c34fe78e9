// The words that we do not write, in code, comments and texts, with the word to write instead; `habits.mjs` looks for them.

/** Patterns of wording, each with its better word. A pattern finds whole words, in comments and texts alike. */
export const unwanted = [
  [/\breckon(s|ed|ing)?\b/i, "calculate"],
  [/\banew\b/i, "again"],
  [/\bsomebody\b/i, "a person, someone"],
  [/\b(every|any)body\b(?!( else)?"[,;\])])/i, "everyone, anyone"],
  [/\b(whoever|whomever)\b/i, "the person who"],
  [/\bwhatever\b/i, "no matter what, any"],
  [/\bone another\b/i, "each other"],
  [/\bwhereby\b/i, "so that"],
  [/\b(is|are|was|were|been|be) told\b/i, "is reported, is shown"],
  [/\bstands (here|there|beside|below|above|under|in the)\b/i, "is, shows"],
  [/\b(it|its|they|their) (rule|rules) would give\b/i, "calculated"],
  [/\bby (its|the) rule\b/i, "calculated"],
  [/\b(In all|Sum of all|All sum)\b/, "Total"],
  [/\btaken? (away|back)\b/i, "remove, undo"],
  [/\btakes (away|back)\b/i, "removes, undoes"],
  [/\bwish(ed|es)\b(?!")/, "requested"],
  [/\bcircles? of\b/i, "cycle"],
  [/\bcomes to\b/i, "is, results in"],
  [/\bhangs? on\b/i, "depends on"],
  [/\bbut for\b/i, "except for"],
  [/\bany longer\b/i, "no longer"],
  [/\bbeside (it|the|its|their|all|an?)\b/i, "next to, besides"],
];

/** Openings of comments that put the clause before its subject: "What a board shows." */
export const turnedRound = /^\s*(\/\*\*|\/\/|\*) (What|Whatever|Whoever|Whom|Whose|Why) [a-z]/;
