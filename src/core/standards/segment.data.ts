/** Whole published tables of segments: mass in per cent of body mass, centre of mass in per cent of length from the proximal or upper end. */
export type SegmentCell = readonly [massPercent: number, comPercent: number];

/** Source: de Leva 1996, Table 4. */
export const DE_LEVA: Readonly<Record<string, Readonly<Record<"female" | "male", SegmentCell>>>> = {
  head: { female: [6.68, 58.94], male: [6.94, 59.76] },
  trunk: { female: [42.57, 41.51], male: [43.46, 44.86] },
  "upper-trunk": { female: [15.45, 20.77], male: [15.96, 29.99] },
  "mid-trunk": { female: [14.65, 45.12], male: [16.33, 45.02] },
  "lower-trunk": { female: [12.47, 49.2], male: [11.17, 61.15] },
  "upper-arm": { female: [2.55, 57.54], male: [2.71, 57.72] },
  forearm: { female: [1.38, 45.59], male: [1.62, 45.74] },
  hand: { female: [0.56, 74.74], male: [0.61, 79.0] },
  thigh: { female: [14.78, 36.12], male: [14.16, 40.95] },
  shank: { female: [4.81, 44.16], male: [4.33, 44.59] },
  foot: { female: [1.29, 40.14], male: [1.37, 44.15] },
};

/** Source: Winter, Biomechanics and Motor Control of Human Movement, Table 4.1. One table for all. */
export const WINTER: Readonly<Record<string, SegmentCell>> = {
  hand: [0.6, 50.6],
  forearm: [1.6, 43.0],
  "upper-arm": [2.8, 43.6],
  "forearm-hand": [2.2, 68.2],
  "total-arm": [5.0, 53.0],
  foot: [1.45, 50],
  shank: [4.65, 43.3],
  thigh: [10.0, 43.3],
  "foot-shank": [6.1, 60.6],
  "total-leg": [16.1, 44.7],
  "head-neck": [8.1, 100],
  trunk: [49.7, 50],
  "trunk-head-neck": [57.8, 66],
  "head-arms-trunk": [67.8, 62.6],
  thorax: [21.6, 82],
  abdomen: [13.9, 44],
  pelvis: [14.2, 10.5],
  "abdomen-pelvis": [28.1, 27],
  "thorax-abdomen": [35.5, 63],
};
