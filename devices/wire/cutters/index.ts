import { doing, expectOk, ok, type Result, type Task } from '../../../core/base/index.ts';
import type { CutProgram } from '../../../core/output/index.ts';
import { USUAL_PROFILE, type CutProfile } from '../../../core/stock/index.ts';
import type { CutterHello } from '../../protocol/index.ts';
import { openSerial, openUsb } from './cable.ts';
import type { CutterWire } from './cutter-wire.ts';
import { sendProgram, type Sending } from './send-program.ts';
import { openTcp } from './tcp-wire.ts';

export { listPorts, SERIAL_PORT, USB_PORT } from './cable.ts';

/** How a cutter is spoken to over its wire. */
export type CutterLine = Pick<CutProfile, 'line' | 'buffer'> & { readonly answers?: boolean };

/** Opens the way to a cutter: `tcp://HOST:PORT`, `serial:PORT` or `usb:FILE`. */
function openWire(address: string, { line }: CutterLine): Promise<Result<CutterWire>> {
  const [, scheme, rest = ''] = /^(\w+):(.*)$/.exec(address) ?? [];
  if (scheme === 'serial') return openSerial(rest, line);
  return scheme === 'usb' ? openUsb(rest) : openTcp(address);
}

/** What is cut, and how it is sent. */
export interface CutSent extends Pick<Sending, 'done' | 'isPaused'> {
  readonly program: CutProgram;
  /** As cut files are exported unless given. */
  readonly line?: CutterLine | undefined;
}

/** Sends a program to a cutter. */
export async function cutOn(
  address: string,
  { program, line = USUAL_PROFILE, ...sending }: CutSent,
  task: Task,
): Promise<Result<void>> {
  task.progress(0, doing('connecting', {}));
  const wire = await openWire(address, line);
  if (!wire.ok) return wire;
  const { buffer, answers = false } = line;
  return sendProgram(wire.value, program, { ...sending, buffer, answers }, task);
}

const ANSWER = 1500; // ms

/** Says hello to a cutter that speaks HPGL. Nothing moves. */
export async function helloCutter(
  address: string,
  line: CutterLine = USUAL_PROFILE,
): Promise<Result<CutterHello>> {
  const opened = await openWire(address, line);
  if (!opened.ok) return opened;
  const wire = expectOk(opened);
  let said = '';
  wire.hear((part) => (said = `${said}${part}`.slice(-2000)));
  const asked = async (command: string): Promise<string | undefined> => {
    said = '';
    wire.write(Buffer.from(command, 'latin1')).catch(() => undefined); // silence says the same
    for (let waited = 0; waited < ANSWER; waited += 20) {
      const [line = ''] = /[^\r\n]+(?=[\r\n])/.exec(said) ?? [];
      if (line.trim()) return line.trim().slice(0, 80);
      await new Promise((go) => setTimeout(go, 20));
    }
    return said.trim().slice(0, 80) || undefined;
  };
  try {
    const identity = await asked('OI;');
    const position = identity === undefined ? undefined : await asked('OA;');
    return ok({ ...(identity ? { identity } : {}), ...(position ? { position } : {}) });
  } catch {
    return ok({});
  } finally {
    wire.destroy();
  }
}
