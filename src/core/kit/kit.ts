import { LEVER_IDS, type LeverId, LEVERS } from "../templates/lever";
import { type AssembledKit, assembledFrom, type KitItem } from "./assemble";
import { EQUIPMENT, type Equipment, type Place, USUAL_AT } from "./equipment";

/** What the studio can set up: the smallest change of each lever, one that a client feels, and what stands around. */
export interface Kit {
  increments: Readonly<Record<LeverId, number>>;
  felt: Readonly<Record<LeverId, number>>;
  equipment: readonly Equipment[];
  /** Heights and loads that can really be assembled, where the room has been measured. */
  assembled?: AssembledKit;
}
const perLever = (pick: (lever: LeverId) => number): Record<LeverId, number> =>
  Object.fromEntries(LEVER_IDS.map((lever) => [lever, pick(lever)])) as Record<LeverId, number>;
/** What the kit allows unless the studio says otherwise: thin pads, plates and bells, a hand scale read to the kilogram. */
export const DEFAULT_KIT: Kit = {
  increments: perLever((lever) => LEVERS[lever].increment),
  felt: perLever((lever) => LEVERS[lever].felt),
  equipment: EQUIPMENT,
};
/** The same with the studio's own cushion, as thick as it is under a sitting client. */
export const kitWithCushion = (cushionM: number): Kit => ({ ...DEFAULT_KIT, felt: { ...DEFAULT_KIT.felt, seatHeightM: cushionM } });
/** Thinner is no cushion, thicker no longer one. */
export const CUSHION_LIMITS_M = { min: 0.01, max: 0.15 } as const;

/** A place by its list; where nobody has listed it, what such a place usually has, by the usual increments. */
export const kitOf = (usual: Kit, place: Place, items: readonly KitItem[] | null): Kit =>
  items === null
    ? { ...usual, equipment: USUAL_AT[place] }
    : { ...usual, equipment: [...new Set(items.map(({ kind }) => kind))], assembled: assembledFrom(items) };
