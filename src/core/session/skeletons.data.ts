/** Named sessions as starting points: codes in the trade's order. Source: handbook B3, minutes of warm-up by D3, 71. */
export interface Skeleton {
  id: string;
  /** Stations; of several codes the first that is open in this room is taken. */
  stations: readonly (readonly string[])[];
  rounds?: number;
  /** Later stations open once the earlier ones are easy. */
  isGated?: true;
}
const of = (text: string): string[][] => text.split(" ").map((station) => station.split("|"));

export const SKELETONS: readonly Skeleton[] = [
  { id: "knee-support", stations: of("K01 S10|S05 K05 S13|S11 K10") },
  { id: "gentle-knee", stations: of("K02 K03 A03 C01 S30 S05|S02"), isGated: true },
  { id: "stairs-circuit", stations: of("L01|L03 H01|H07 C04|C02 S15|S08"), rounds: 2 },
  { id: "buttock", stations: of("B08|B07|B01 S02|S08 H07|H01 A10|A05") },
  { id: "hip-imbalance", stations: of("E03|E01|E08 M05|M03 A05|A06 H04 B07|B01 L18|L15 B13|B14 H06|H02 H29|H28 A10|A18") },
  { id: "after-replacement", stations: of("M07 M10|M11 E01|E03|E04 S09|S02 S14|S05 A01 B01 H01 L03|L30 S06|S07 S34|S28 L18 L32") },
  { id: "repair-no-kit", stations: of("S27|S28 L07|L09 S29 S31 B01 K05|K06 A06 A18") },
  { id: "ground-up", stations: of("K06|K05 K07 C08 C07|C02 C04 L12|L01 H28|H26 L29|L21 S21|S08 M05 H17|H01") },
  { id: "back-protecting", stations: of("T01|T02 T08 S27|S28 L01|L21 P05|P06 P08 E01|E03|E08") },
];
export const skeletonById = (id: string): Skeleton | undefined => SKELETONS.find((each) => each.id === id);
