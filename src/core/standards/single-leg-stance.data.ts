import type { Sex } from "../body/body";

export const STANCE_AGES = [18, 99] as const;
/** A trial is stopped here. */
export const STANCE_MOST_S = 45;

type Cell = readonly [meanS: number, sdS: number];
/** Eyes open best, eyes open mean, eyes closed best, eyes closed mean, each of three. */
type Cells = readonly [Cell, Cell, Cell, Cell];
interface Row {
  fromAge: number;
  cells: Readonly<Record<Sex | "all", Cells>>;
}

/** Seconds on one leg. Source: Springer 2007, J Geriatr Phys Ther 30(1), from memory: means sure, deviations less so. */
export const STANCE_ROWS: readonly Row[] = [
  {
    fromAge: 18,
    cells: {
      female: [
        [45.1, 0.1],
        [43.5, 3.8],
        [13.1, 12.3],
        [8.5, 9.1],
      ],
      male: [
        [44.4, 4.1],
        [43.2, 6.0],
        [16.9, 13.9],
        [10.2, 9.6],
      ],
      all: [
        [44.7, 3.1],
        [43.3, 5.1],
        [15.0, 13.1],
        [9.4, 9.4],
      ],
    },
  },
  {
    fromAge: 40,
    cells: {
      female: [
        [42.1, 9.5],
        [40.4, 10.1],
        [13.5, 12.4],
        [7.4, 6.7],
      ],
      male: [
        [41.6, 10.2],
        [40.1, 11.5],
        [12.0, 13.5],
        [7.3, 7.4],
      ],
      all: [
        [41.9, 9.9],
        [40.3, 10.8],
        [12.7, 12.9],
        [7.3, 7.0],
      ],
    },
  },
  {
    fromAge: 50,
    cells: {
      female: [
        [40.9, 10.0],
        [36.0, 12.8],
        [7.9, 8.0],
        [5.0, 5.6],
      ],
      male: [
        [41.5, 10.5],
        [38.1, 12.4],
        [8.6, 8.8],
        [4.5, 3.8],
      ],
      all: [
        [41.2, 10.2],
        [37.0, 12.6],
        [8.3, 8.4],
        [4.8, 4.8],
      ],
    },
  },
  {
    fromAge: 60,
    cells: {
      female: [
        [30.4, 16.4],
        [25.1, 16.5],
        [3.6, 2.3],
        [2.5, 1.5],
      ],
      male: [
        [33.8, 16.0],
        [28.7, 16.7],
        [5.1, 6.8],
        [3.1, 2.7],
      ],
      all: [
        [32.1, 16.2],
        [26.9, 16.6],
        [4.4, 5.1],
        [2.8, 2.2],
      ],
    },
  },
  {
    fromAge: 70,
    cells: {
      female: [
        [16.7, 15.0],
        [11.3, 11.2],
        [3.7, 6.2],
        [2.2, 2.1],
      ],
      male: [
        [25.9, 18.1],
        [18.3, 15.3],
        [2.6, 1.7],
        [1.9, 0.9],
      ],
      all: [
        [21.5, 17.3],
        [15.0, 13.9],
        [3.2, 4.6],
        [2.0, 1.6],
      ],
    },
  },
  {
    fromAge: 80,
    cells: {
      female: [
        [10.6, 13.2],
        [7.4, 10.7],
        [2.1, 1.1],
        [1.4, 0.6],
      ],
      male: [
        [8.7, 12.6],
        [5.6, 8.4],
        [1.8, 0.9],
        [1.3, 0.6],
      ],
      all: [
        [9.4, 12.7],
        [6.2, 9.3],
        [1.9, 0.9],
        [1.3, 0.6],
      ],
    },
  },
];
