/** A LOINC code's last digit from those before it: modulus ten over its digits. Source: LOINC users' guide, from memory; standards 13.1. */
export function loincDigit(digits: string): number {
  const doubled = [...digits]
    .toReversed()
    .filter((_, i) => i % 2 === 0)
    .toReversed()
    .join("");
  const others = [...digits].toReversed().filter((_, i) => i % 2 === 1);
  const sum = [...String(Number(doubled) * 2), ...others].reduce((total, digit) => total + Number(digit), 0);
  return (10 - (sum % 10)) % 10;
}
/** "29463-7": whether its digit is right, and what it should be; null where it is no such code. */
export function loincCheck(code: string): { digit: number; isValid: boolean } | null {
  const parts = /^(\d{1,7})(?:-(\d))?$/.exec(code.trim());
  if (!parts?.[1]) return null;
  const digit = loincDigit(parts[1]);
  return { digit, isValid: parts[2] !== undefined && Number(parts[2]) === digit };
}
