import { findSourceMap } from "node:module";

/** Of one line of a stack its file, line and column. */
const FRAME = /^\s+at (?:async )?(?:.*? \()?((?:file:\/\/)?\/[^()]*?):(\d+):(\d+)\)?$/;
const FOREIGN = /node_modules|\/next\/dist\//;
const MOST_PLACES = 3;

/** A place of the build as the place in our own files that it was made from. */
function placeOf([, file, line, column]) {
  const path = file.replace("file://", "");
  const made = findSourceMap(path)?.findEntry(Number(line) - 1, Number(column) - 1);
  const [source, at] = made?.originalSource ? [made.originalSource, made.originalLine + 1] : [path, Number(line)];
  return FOREIGN.test(source) ? null : `${/(?:src|scripts|tests|\.next)\/.*$/.exec(source)?.[0] ?? source.split("/").at(-1)}:${at}`;
}
/** Where an error came from, nearest first: files of the application and their lines, never what its words say. */
export const placesOf = ({ stack = "" }) =>
  stack
    .split("\n")
    .flatMap((frame) => {
      const found = FRAME.exec(frame);
      return (found && placeOf(found)) ?? [];
    })
    .slice(0, MOST_PLACES);

/**
 * What a library prints of an error may hold what a person wrote, and so may its words: its name, code, id and places go to the
 * log, and of other words the first line.
 */
export const errorLine = (parts) =>
  parts
    .map((part) => {
      if (part instanceof Error) return [part.name, part.code, part.digest, ...placesOf(part)].filter(Boolean).join(" ");
      return typeof part === "string" ? part.split("\n")[0].slice(0, 200) : "";
    })
    .join(" ")
    .trim();
