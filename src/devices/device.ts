/** What a device measures: a length (mm), a mass (g), or the air of the shed. */
export interface Measures {
  readonly caliper: number;
  readonly scale: number;
  readonly hygrometer: { readonly temperature: number; readonly humidity: number };
}

/** A kind of device. */
export type DeviceKind = keyof Measures;

/** One reading: the value in mm, g, or °C and relative humidity from 0 to 1, and what stands on the device's own display. */
export interface Reading<K extends DeviceKind = DeviceKind> {
  readonly value: Measures[K];
  readonly text: string;
  /** No longer moving. */
  readonly steady: boolean;
}

/** Events of an open device. `taken`: its data button was pressed; `lost`: it has gone quiet. */
export type DeviceEvent<K extends DeviceKind = DeviceKind> =
  | { readonly kind: 'reading'; readonly reading: Reading<K> }
  | { readonly kind: 'taken'; readonly reading: Reading<K> }
  | { readonly kind: 'battery'; readonly low: boolean }
  | { readonly kind: 'lost' }
  | { readonly kind: 'back' };

/**
 * A measuring device as the table knows it: a stand-in that ships with it, or a real one over a serial line, as HID or as a
 * keyboard, behind the same four verbs.
 */
export interface Device<K extends DeviceKind = DeviceKind> {
  readonly kind: K;
  readonly simulated: boolean;
  /** Begins to read. Opening an open device does nothing. */
  open(): Promise<void>;
  /** The newest reading; null when there is none: not open, or gone quiet. */
  read(): Reading<K> | null;
  close(): Promise<void>;
  /** Listens to events until the returned function is called. */
  on(listener: (event: DeviceEvent<K>) => void): () => void;
}
