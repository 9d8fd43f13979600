/** A list in pieces that hang together: each item that goes on takes the one after it along. */
export function chains<T>(items: readonly T[], goesOn: (item: T) => boolean): T[][] {
  const pieces: T[][] = [];
  items.forEach((item, i) => {
    const before = items[i - 1];
    if (before !== undefined && goesOn(before)) pieces.at(-1)!.push(item);
    else pieces.push([item]);
  });
  return pieces;
}
