import { today as todayIn } from "@internationalized/date";
import { fitContextOf } from "../core/record/standing/context";
import { getOrm, readStudio } from "./orm";
import { loadRecord } from "./repos/record.repo";

/**
 * Opens clients of a database that was restored to be looked at, as a page would (npm run restore -- --drill FILE). Each argument is
 * a studio and a client; nobody is named.
 */
const pairs = process.argv.slice(2).flatMap((pair): [string, string][] => {
  const [studioId, clientId] = pair.split(":");
  return studioId && clientId ? [[studioId, clientId]] : [];
});
let opened = 0;
for (const [studioId, clientId] of pairs) {
  const record = await readStudio(studioId, (em) => loadRecord({ studioId, actorId: "drill" }, em, clientId)).catch(() => null);
  if (!record) continue;
  fitContextOf(record, todayIn("UTC").toString()); // what was measured is worked out; a client without a measure has none
  opened++;
}
console.log(`${opened} of ${pairs.length} clients open`);
await (await getOrm()).close();
process.exitCode = opened < pairs.length || pairs.length === 0 ? 1 : 0;
