import type { EntityManager } from "@mikro-orm/postgresql";
import type { OwnRow } from "../../core/catalogue/own";
import type { Day } from "../../core/day";
import type { Role } from "../../core/studio/team";
import type { UnitSystem } from "../../core/units";
import type { MeasuredBand } from "../../core/mechanics/band";
import type { KitItem } from "../../core/kit/assemble";
import { isReadable } from "../../schemas/archived-fact.schema";
import { BandRow, CushionRow, KitListRow, OwnRowRow, StudioRow } from "../tables/entities";
import { audit, type Scope, stamp } from "../scope";

/** What stands around in the studio, as it was measured there. */

/** Bands of the studio as they were last pulled, by name. */
export async function listBands({ studioId }: Scope, em: EntityManager): Promise<MeasuredBand[]> {
  const rows = await em.find(BandRow, { studioId }, { orderBy: { createdAt: "asc", id: "asc" } });
  const latest = new Map(rows.map(({ name, restM, points }) => [name, { name, restM, points }]));
  return [...latest.values()].toSorted((a, b) => a.name.localeCompare(b.name));
}

export async function addBand(scope: Scope, em: EntityManager, band: MeasuredBand, day: Day): Promise<void> {
  const row = { ...stamp(scope), day, ...band };
  await em.insert(BandRow, row);
  await audit(scope, em, "measured", "band", row.id);
}

/** How thick one cushion is under a client; null until somebody measured one. */
export async function cushionOf({ studioId }: Scope, em: EntityManager): Promise<number | null> {
  const row = await em.findOne(CushionRow, { studioId }, { orderBy: { createdAt: "desc", id: "desc" } });
  return row?.thicknessM ?? null;
}

export async function addCushion(scope: Scope, em: EntityManager, thicknessM: number, day: Day): Promise<void> {
  const row = { ...stamp(scope), day, thicknessM };
  await em.insert(CushionRow, row);
  await audit(scope, em, "measured", "cushion", row.id);
}

/** What a place has: the studio, or a client's home; null where nobody has listed it. */
export async function kitListOf({ studioId }: Scope, em: EntityManager, clientId: string | null): Promise<readonly KitItem[] | null> {
  const row = await em.findOne(KitListRow, { studioId, clientId }, { orderBy: { createdAt: "desc", id: "desc" } });
  return row && isReadable("kit_list", { items: row.items }) ? row.items : null;
}
export async function setKitList(
  scope: Scope,
  em: EntityManager,
  clientId: string | null,
  items: readonly KitItem[],
  day: Day,
): Promise<void> {
  const row = { ...stamp(scope), clientId, day, items };
  await em.insert(KitListRow, row);
  await audit(scope, em, "listed", "kit", row.id);
}

/** The studio's own rows as they stand, by name, retired ones among them. */
export async function listOwnRows({ studioId }: Scope, em: EntityManager): Promise<OwnRow[]> {
  const rows = await em.find(OwnRowRow, { studioId }, { orderBy: { createdAt: "asc", id: "asc" } });
  const latest = [...new Map(rows.map(({ rowId, row }) => [rowId, row])).values()];
  return latest.filter((row) => isReadable("own_row", { row })).toSorted((a, b) => a.name.localeCompare(b.name));
}
export async function keepOwnRow(scope: Scope, em: EntityManager, row: OwnRow): Promise<void> {
  const kept = { ...stamp(scope), rowId: row.id, row };
  await em.insert(OwnRowRow, kept);
  await audit(scope, em, "wrote", "own_row", kept.id);
}

/** The studio's own name and time zone. */
export async function studioOf({ studioId }: Scope, em: EntityManager): Promise<{ name: string; timeZone: string }> {
  const [studio] = await em.execute<{ name: string; timeZone: string }[]>(`select name, time_zone as "timeZone" from studio where id = ?`, [
    studioId,
  ]);
  return studio ?? { name: "", timeZone: "UTC" };
}

/** Days begin and end by the zone from now on; what was kept stays on the day it was kept on. */
export async function changeStudio(scope: Scope, em: EntityManager, { name, timeZone }: { name: string; timeZone: string }): Promise<void> {
  await em.nativeUpdate(StudioRow, { id: scope.studioId }, { name, timeZone });
  await audit(scope, em, "changed", "studio", scope.studioId);
}
/** Whether everybody in the team signs in with a code. */
export async function askForCodes(scope: Scope, em: EntityManager, asksForCodes: boolean): Promise<void> {
  await em.nativeUpdate(StudioRow, { id: scope.studioId }, { asksForCodes });
  await audit(scope, em, asksForCodes ? "asked-for-codes" : "asked-for-no-codes", "studio", scope.studioId);
}

/** A member of a studio as a page needs one: who, for which studio, in which units and time zone. */
export interface Member {
  studioId: string;
  name: string;
  role: Role;
  unitSystem: UnitSystem;
  studioName: string;
  timeZone: string;
  asksForCodes: boolean;
}
/** Every place a user has in a team, by the studio's name: asked before any studio is known, and so by the one function that may. */
export const membersOf = (em: EntityManager, userId: string): Promise<Member[]> =>
  em.execute(
    `select studio_id as "studioId", name, role, unit_system as "unitSystem", studio_name as "studioName", time_zone as "timeZone", asks_for_codes as "asksForCodes" from members_of(?)`,
    [userId],
  );
