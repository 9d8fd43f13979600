import { strictestLimitScore } from "../../limits/complaint";
import { DEFAULT_SCHOOL, type School, schoolOf } from "../../approach/approach";
import type { ClientRecord } from "../facts/record";

/** The school this client is trained by; the house's own where nobody chose one. */
export const schoolIn = ({ school }: Pick<ClientRecord, "school">): School => (school ? schoolOf(school) : DEFAULT_SCHOOL);
/** The strictest pain number agreed with this client, never over the school's. */
export const painLimitOf = (record: Pick<ClientRecord, "school" | "complaints">): number =>
  strictestLimitScore(record.complaints, schoolIn(record).painLimitScore);
