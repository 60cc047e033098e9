/** @example countedName({ name: 'Lip seal', count: 2 }) // '2 × Lip seal'; of one the name alone */
export const countedName = ({ name, count }: { readonly name: string; readonly count: number }): string =>
  count > 1 ? `${count} × ${name}` : name;
