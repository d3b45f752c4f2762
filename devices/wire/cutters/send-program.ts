import { Cancelled, doing, err, ok, type Result, type Task } from '../../../core/base/index.ts';
import type { CutProgram } from '../../../core/output/index.ts';
import type { CutterWire } from './cutter-wire.ts';

/** How a program is sent. */
export interface Sending {
  /** How many cuts, in their order, were made before this program's. */
  readonly done?: number;
  /** How many bytes the cutter takes in before it cuts them. */
  readonly buffer?: number;
  /** Whether it answers each line with `ok`, and more is sent only then. */
  readonly answers?: boolean;
  /** Whether the work rests now; a cut that was begun is ended first. */
  isPaused?(): boolean;
}

const CHUNK = 64; // bytes
const LARGE_CHUNK = 4096; // where the wire has a pace of its own
const AHEAD = 128; // bytes that may be ahead of what the wire has carried
const UNANSWERED = 100; // bytes of lines that may wait for their answer
const SILENT = 120_000; // ms in which a cutter takes nothing more
const LAST_WORD = 5000; // ms for lifting the tool
const GREETING = 2000; // ms in which a machine that is woken by the port says so
const LOOK = 20; // ms between looks at whether it goes on

/**
 * Parts of commands that may be the last that is sent: none ends within a number, or between the two
 * of a point.
 */
export function sendable(commands: string, most = CHUNK): string[] {
  const parts = commands.match(/,?[^,;\r\n]*(?:,[^,;\r\n]*)?[;\r\n]*/g) ?? [];
  const chunks: string[] = [];
  for (const part of parts.filter(Boolean)) {
    const last = chunks[chunks.length - 1];
    if (last !== undefined && last.length + part.length <= most) chunks[chunks.length - 1] += part;
    else chunks.push(part);
  }
  return chunks;
}

const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));

/**
 * Sends a program to a cutter, never far ahead of what the wire carries. A cancel lifts the tool and ends
 * the work; a lost wire is told with the first cut that may not have been made.
 */
export async function sendProgram(
  wire: CutterWire,
  program: CutProgram,
  sending: Sending,
  task: Task,
): Promise<Result<void>> {
  const sender = new Sender(wire, program, sending, task);
  try {
    await sender.run();
    return ok(undefined);
  } catch (error) {
    if (error instanceof Refused)
      return err('cutter/says', { says: error.message, ...sender.at() });
    if (!(error instanceof Cancelled)) return err('cutter/lost', sender.at());
    throw error;
  } finally {
    wire.destroy();
  }
}

class Refused extends Error {}

class Sender {
  private readonly parts: readonly string[];
  private sent = 0;
  /** When the wire has carried what was sent, ms. */
  private carried = 0;
  private readonly unanswered: number[] = [];
  private heard = '';
  private greeting = false;
  private says: string | undefined;
  private readonly wire: CutterWire;
  private readonly program: CutProgram;
  private readonly sending: Sending;
  private readonly task: Task;

  constructor(wire: CutterWire, program: CutProgram, sending: Sending, task: Task) {
    this.wire = wire;
    this.program = program;
    this.sending = sending;
    this.task = task;
    this.parts = [program.start, ...program.cuts, program.end];
    wire.hear((said) => this.hear(said));
  }

  async run(): Promise<void> {
    const { cuts } = this.program;
    const most = this.wire.rate || this.sending.answers ? CHUNK : LARGE_CHUNK;
    try {
      await this.greeted();
      for (const [at, part] of this.parts.entries()) {
        const cut = Math.min(at, cuts.length) || 1;
        const share = at / this.parts.length;
        if (at > 0) this.task.progress(share, doing('sending-cut', this.place(cut)));
        await this.rest(share);
        for (const chunk of sendable(part, most)) {
          await this.task.yieldNow();
          await this.send(chunk);
        }
      }
      await this.answered(0);
      await this.reach(0);
      await this.wire.end();
      this.task.progress(1, doing('cutting', {}));
    } catch (error) {
      if (error instanceof Cancelled || error instanceof Refused) await this.lift();
      throw error;
    }
  }

  /** Some machines begin anew when their port is opened, and hear nothing until they have said so. */
  private async greeted(): Promise<void> {
    if (!this.sending.answers || !this.wire.rate) return;
    for (const since = Date.now(); !this.greeting && Date.now() - since < GREETING;) {
      await pause(LOOK);
      await this.task.yieldNow();
    }
  }

  /** The first cut that may not have been made, from 1: what the cutter holds is lost with it. */
  at(): { from: number; of: number } {
    const made = this.sent - (this.sending.buffer ?? 0);
    let ends = this.program.start.length;
    let cut = 0;
    for (const { length } of this.program.cuts) {
      ends += length;
      if (ends > made) break;
      cut++;
    }
    const { cut: from, of } = this.place(cut + 1);
    return { from: Math.min(from, of), of };
  }

  private place(cut: number): { cut: number; of: number } {
    const { done = 0 } = this.sending;
    return { cut: cut + done, of: this.program.cuts.length + done };
  }

  private async rest(share: number): Promise<void> {
    while (this.sending.isPaused?.()) {
      this.task.progress(share, doing('cutter-rests', {}));
      await pause(LOOK);
      await this.task.yieldNow();
    }
  }

  private async send(chunk: string): Promise<void> {
    const bytes = Buffer.from(chunk, 'latin1');
    if (this.sending.answers) {
      await this.answered(Math.max(0, UNANSWERED - bytes.length));
      for (const line of chunk.match(/[^\r\n]+[\r\n]+/g) ?? []) this.unanswered.push(line.length);
    }
    await this.reach(AHEAD);
    await this.taken(bytes);
  }

  /** Gives bytes to the wire; until they are taken nothing else goes. */
  private async taken(bytes: Buffer, within = SILENT, mayCancel = true): Promise<void> {
    let isTaken = false;
    const write = this.wire.write(bytes).then(() => void (isTaken = true));
    write.catch(() => undefined); // heard below
    for (const since = Date.now(); !isTaken;) {
      await Promise.race([write, pause(LOOK)]);
      if (Date.now() - since > within) throw new Error('silent');
      if (mayCancel && !isTaken) await this.task.yieldNow();
    }
    this.sent += bytes.length;
    const { rate } = this.wire;
    if (rate) this.carried = Math.max(this.carried, Date.now()) + (1000 * bytes.length) / rate;
  }

  /** Waits until no more than so many bytes are ahead of what the wire has carried. */
  private async reach(ahead: number): Promise<void> {
    const { rate } = this.wire;
    if (!rate) return;
    for (;;) {
      const wait = this.carried - Date.now() - (1000 * ahead) / rate;
      if (wait <= 0) return;
      await pause(Math.min(wait, LOOK));
      await this.task.yieldNow();
    }
  }

  /** Waits until no more than so many bytes of lines wait for their answer. */
  private async answered(most: number): Promise<void> {
    const waiting = (): number => this.unanswered.reduce((sum, length) => sum + length, 0);
    let since = Date.now();
    let before = waiting();
    while (this.sending.answers && waiting() > most) {
      if (this.says !== undefined) throw new Refused(this.says);
      if (waiting() !== before) [since, before] = [Date.now(), waiting()];
      if (Date.now() - since > SILENT) throw new Error('silent');
      await pause(LOOK / 4);
      await this.task.yieldNow();
    }
    if (this.says !== undefined) throw new Refused(this.says);
  }

  private hear(said: string): void {
    if (!this.sending.answers) return;
    this.greeting = true;
    const lines = `${this.heard}${said}`.slice(-4000).split(/[\r\n]+/);
    this.heard = lines.pop() ?? '';
    for (const line of lines) {
      if (/^ok\b/i.test(line)) this.unanswered.shift();
      else if (/^(error|alarm)/i.test(line)) this.says ??= line.slice(0, 80);
    }
  }

  /** Lifts the tool and ends the work, if the cutter still takes it. */
  private async lift(): Promise<void> {
    if (this.sent === 0) return;
    try {
      await this.taken(Buffer.from(this.program.stop, 'latin1'), LAST_WORD, false);
      await this.wire.end();
    } catch {
      // Whoever is gone cannot be told.
    }
  }
}
