/** One price shared by the packets of a kit in the smallest coins there are; the odd coins are the first packets'. */
export function shareOut(price: number, packets: number, places: number): number[] {
  const coin = 10 ** places;
  const coins = Math.round(price * coin);
  return Array.from({ length: packets }, (_, n) => (Math.floor(coins / packets) + (n < coins % packets ? 1 : 0)) / coin);
}
