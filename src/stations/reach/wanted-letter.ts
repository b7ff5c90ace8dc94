/** A, B, C: places that are asked for, beside lies that have numbers. */
export const letterOf = (number: number): string => String.fromCharCode(64 + number);
