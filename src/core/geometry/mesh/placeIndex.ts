/** Slots at first, a power of two. */
const FIRST = 1024;

/** Odd factors that spread neighbouring places over the slots; z may be a fraction, and is multiplied by FINE first. */
const SPREAD = [73_856_093, 19_349_663, 83_492_791] as const;
const FINE = 1024;

/** Corners nearer to one another than this are one vertex (mm): some files write each triangle by itself. */
const WELD = 1e-4;

/** Numbers places in the order in which they are first met; places with equal coordinates have one number. */
export class PlaceIndex {
  /** Number of the place in each slot, or -1; half of them at most are filled. */
  private slots = new Int32Array(FIRST).fill(-1);
  /** x, y and z of each place, by its number. */
  private places = new Float64Array((3 * FIRST) / 2);
  private met = 0;

  /** How many places have been met. */
  get count(): number {
    return this.met;
  }

  /** The number of a place, which is `count` before the call if it was not met yet. */
  numberOf(x: number, y: number, z: number): number {
    const slot = this.slotOf(x, y, z);
    const found = this.slots[slot] as number;
    if (found >= 0) return found;
    const number = this.met;
    this.slots[slot] = number;
    this.places[3 * number] = x;
    this.places[3 * number + 1] = y;
    this.places[3 * number + 2] = z;
    this.met += 1;
    if (2 * this.met === this.slots.length) this.grow();
    return number;
  }

  /** The number of a corner (mm), the same for all that round to one place. */
  numberNear(x: number, y: number, z: number): number {
    return this.numberOf(Math.round(x / WELD), Math.round(y / WELD), Math.round(z / WELD));
  }

  /** The slot of a place, or the free one in which it belongs. */
  private slotOf(x: number, y: number, z: number): number {
    const { places, slots } = this;
    const last = slots.length - 1;
    const mixed = Math.imul(x, SPREAD[0]) ^ Math.imul(y, SPREAD[1]) ^ Math.imul(FINE * z, SPREAD[2]);
    let slot = (mixed ^ (mixed >>> 15)) & last;
    for (;;) {
      const at = 3 * (slots[slot] as number);
      if (at < 0 || (places[at] === x && places[at + 1] === y && places[at + 2] === z)) return slot;
      slot = (slot + 1) & last;
    }
  }

  private grow(): void {
    const { places } = this;
    this.places = new Float64Array(2 * places.length);
    this.places.set(places);
    this.slots = new Int32Array(2 * this.slots.length).fill(-1);
    for (let number = 0; number < this.met; number += 1) {
      const at = 3 * number;
      this.slots[this.slotOf(places[at] as number, places[at + 1] as number, places[at + 2] as number)] = number;
    }
  }
}
