export function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** 1st, 2nd, 3rd, 4th, 11th, 22nd. */
export function wordOrdinal(n: number): string {
  const tail = n % 100 >= 11 && n % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${tail}`;
}

/** `1 lot`, `2 lots`. */
export function wordCount(n: number, one: string, many = `${one}s`): string {
  return `${n.toLocaleString('en')} ${n === 1 ? one : many}`;
}
