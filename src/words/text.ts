export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "1 cast", "3 casts". */
export const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
