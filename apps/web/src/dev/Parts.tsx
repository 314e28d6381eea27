export function Parts() {
  return null;
}
