import type { SparedSite } from "./complaint";

const words = (codes: string): readonly string[] => codes.split(" ");
/**
 * Rows that load what no ceiling speaks for, by code: closed while it hurts, until one of them was calm. Source: our own
 * reasoning, the trainer's to change: what hangs from, presses out of, stands on or twists about the place.
 */
export const LOADS_SITE: Readonly<Record<SparedSite, readonly string[]>> = {
  ankle: words("C02 C03 C04 C05 C06 C07 S25 S26 S31 L07 L08 L12 L13 L14 L24 L25 K07 E07 E09 M04 M13 M17 B17"),
  foot: words("C02 C03 C04 C05 C06 C07 S26 L14 L24 L25 K07 E07 E09 B17"),
  "side-hip": words("A19 M05 M06 L07 L08 L17 L28 L29 S21 S22 S23 S25 S33 H11 H12"),
  groin: words("A02 A03 A04 A17 A19 S25 L17 L27 M01 M02 M05 M06 M17 E05 E07"),
  pelvis: words("L02 L07 L08 L13 L14 L21 L22 L23 L24 L25 L27 L28 L29 S25 S29 S31 S33 H11 H12 A14 A15 A17 B03 B04 B14 T04 T07 E07 E09"),
  "upper-back": words("P03 P07 P09 P10 P13 H17 H24 H32 T07 T10 S19 S20 E06"),
  neck: words("S19 S20 P03 P09 P10 P13 T07 T10 H20 H21 H22 H23 H32 B04 E06"),
  shoulder: words("P01 P03 P07 P08 P09 P10 P11 P12 P13 T01 T02 T05 T06 T07 S11 S12 S13 S19 S20 L19 L20 H24 E06"),
  elbow: words("P06 P07 P08 P09 P10 P11 P12 P13 T06 T07 S11 S12 L19 L20 H24 E06"),
  "wrist-hand": words(
    "S11 S12 S13 S17 S24 S40 L19 L20 T01 T03 T04 T06 T07 T08 A13 A14 P02 P03 P07 P08 P09 P10 P11 P12 P13 H13 H14 H15 H24 E06",
  ),
  belly: words("T01 T02 T06 T07 T09 T10 P09 P10 H20 H21 H22 H24 S19 S20 B16 E05 E07 E09"),
};
