import type { Result } from '../../../core/base/index.ts';

/** A way to a cutter, once it is open: bytes go there one after the other, and it may answer. */
export interface CutterWire {
  /** Bytes a second that the wire carries; undefined where the cutter takes them as it likes. */
  readonly rate?: number;
  /** Resolves when the bytes are taken. @throws where the wire is lost */
  write(bytes: Buffer): Promise<void>;
  /** Hears what the cutter says from now on. */
  hear(heard: (said: string) => void): void;
  /** Waits until all is on its way, and hangs up. @throws where the wire is lost */
  end(): Promise<void>;
  /** Hangs up at once. */
  destroy(): void;
}

/** Opens a way to a cutter; what keeps it closed is told. */
export type OpenWire = () => Promise<Result<CutterWire>>;
