/** How many of the first values hold, for a test that is true up to some place and false from there on. */
export function countHolding(values: readonly number[], holds: (value: number) => boolean): number {
  let low = 0;
  let high = values.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(values[middle] ?? NaN)) low = middle + 1;
    else high = middle;
  }
  return low;
}
