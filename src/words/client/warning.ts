import { UNREAD_FACT } from "../../core/progress/warning";

const SIGNS: Readonly<Record<string, string>> = {
  "chest-pain": "Chest pain or breathlessness beyond the effort",
  faint: "Dizzy or faint",
  "hot-swollen-joint": "A hot, red or suddenly swollen joint, or fever",
  "calf-swelling": "New swelling or heat in a calf",
  "giving-way": "The knee gave way or locked",
  "bladder-bowel": "Numb saddle, or bladder or bowel not as usual",
  "leg-weakness": "A leg getting weaker",
  "spreading-pain": "Pain spreading down a leg",
  "bleeding-or-fluid": "Bleeding, fluid, contractions, or the baby moving less",
  "belly-or-pelvic": "Pressure in the belly or pelvis",
  "severe-headache": "A sudden severe headache",
  "other-sign": "Another warning sign",
  [UNREAD_FACT]: "Something stored that cannot be read",
};
export const warningText = (sign: string): string => SIGNS[sign] ?? "Another warning sign";
