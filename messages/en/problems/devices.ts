import type { ProblemValues } from '../../../core/base/index.ts';
import type { FindingName } from '../../../core/proof/index.ts';
import { wordsFor } from '../../words.ts';
import { quoted } from '../phrases.ts';
import { findingText } from '../findings.ts';
import { REASONS } from '../printer-reasons.ts';
import { SHEET_DOUBTS } from '../sheet-doubts.ts';
import type { ProblemWords } from './problem-words.ts';

const ADDRESSES: Readonly<
  Record<
    ProblemValues['device/address']['because'],
    (values: ProblemValues['device/address']) => string
  >
> = {
  'no-address': ({ typed }) => `${quoted(typed)} is no address.`,
  'other-device': ({ typed, kind }) => `${quoted(typed)} is not a ${kind}’s address.`,
  'no-host': ({ typed }) => `${quoted(typed)} names no device.`,
  'other-port': ({ typed }) => `${quoted(typed)} names no port of this computer.`,
  'too-much': () => 'The address has more in it than a device and its path.',
  'no-port': () => 'The address names no port.',
};

const PORTS: Readonly<
  Record<
    ProblemValues['cutter/port']['because'],
    (port: string, group?: string) => { what: string; remedy: string }
  >
> = {
  'no-port': (port) => ({
    what: `There is no port ${port}.`,
    remedy: 'Plug the cutter in and switch it on, then look for its port again.',
  }),
  busy: (port) => ({
    what: `The port ${port} cannot be opened.`,
    remedy: 'Close the other program that uses it, or set its speed as the cutter has it.',
  }),
  'not-allowed': (port, group) => ({
    what: `You may not use the port ${port}.`,
    remedy: group
      ? `Join the group that may: “sudo usermod -aG ${group} $USER”, then log in again.`
      : 'Ask who looks after this computer to let you use it.',
  }),
};

/** Problems with printers, cutters and runs. */
export const DEVICES: ProblemWords<
  'bridge' | 'cutter' | 'device' | 'ipp' | 'printer' | 'profile' | 'run'
> = {
  'bridge/busy': () => ({
    what: 'Too much is sent at once.',
    remedy: 'Wait for the first devices to end.',
  }),
  'bridge/failed': () => ({ what: 'The bridge failed.', remedy: 'Try again.' }),
  'bridge/foreign': () => ({
    what: 'Only a page of this workshop may use its devices.',
    remedy: 'Open the workshop at its own address, and reload it.',
  }),
  'bridge/gone': () => ({
    what: 'The workshop’s server does not answer, so no device can be reached.',
    remedy: 'Start it again, and try once more. Nothing is lost.',
  }),
  'bridge/not-confirmed': ({ address }) =>
    address === undefined
      ? {
          what: 'This address was not confirmed.',
          remedy: 'Confirm the device in the Stock room.',
        }
      : {
          what: `Nobody has confirmed ${address} at this computer: it came with a backup.`,
          remedy: 'Look at it in the Stock room and confirm it there.',
        },
  'bridge/refused': () => ({
    what: 'The request is not understood.',
    remedy: 'Reload the workshop, and try again.',
  }),
  'bridge/too-large': () => ({
    what: 'This is too large for a device.',
    remedy: 'Reload the workshop, and try again.',
  }),
  'cutter/lost': (values) =>
    'from' in values
      ? {
          what: `The connection to the cutter was lost; of ${values.of} cuts number ${values.from} may be the first that is not made.`,
          remedy: `Leave the sheet as it lies, look, and go on from cut ${values.from}.`,
        }
      : {
          what: `The connection to the cutter was lost after ${values.lines} of ${values.of} lines.`,
          remedy: 'Leave the sheet as it lies, and cut the rest.',
        },
  'cutter/port': ({ port, because, group }) => PORTS[because](port, group),
  'cutter/says': ({ says, from, of }) => ({
    what: `The cutter says “${says}” and took no more; its tool is lifted at cut ${from} of ${of}.`,
    remedy: 'See to the cutter and to its profile, then go on from there.',
  }),
  'cutter/unreachable': ({ address }) => ({
    what: `The cutter at ${address} does not answer.`,
    remedy: 'See that it is on and in the same network, and that address and port are right.',
  }),
  'device/address': (values) => ({
    what: ADDRESSES[values.because](values),
    remedy: `Accepted: an address such as ${values.example}.`,
  }),
  'device/not-heard': () => ({
    what: 'This computer does not let us hear which devices announce themselves.',
    remedy: 'Let “node” through its firewall (UDP, port 5353), or enter the address by hand.',
  }),
  'ipp/malformed': () => ({
    what: 'What answers does not speak the Internet Printing Protocol.',
    remedy: 'Check the address: it has to be that of a printer.',
  }),
  'printer/bare-password': ({ address }) => ({
    what: `The printer at ${address} wants a password, which would go over the line in the open.`,
    remedy: `Write its address with ipps:// so that it is reached over TLS.`,
  }),
  'printer/busy': () => ({
    what: 'The printer takes no jobs now.',
    remedy: 'Wait until it is ready, then print again.',
  }),
  'printer/certificate-changed': ({ address, fingerprint }) => ({
    what: `The printer at ${address} shows another certificate than the one that is trusted: ${fingerprint}.`,
    remedy:
      'Nothing was sent. If it was replaced or set up anew, trust the new one in the Stock room.',
  }),
  'printer/certificate-unknown': ({ address, fingerprint }) => ({
    what: `Nobody vouches for the certificate of the printer at ${address}: ${fingerprint}.`,
    remedy:
      'Nothing was sent. Compare it with what the printer shows, and trust it in the Stock room.',
  }),
  'printer/empty': () => ({
    what: 'The tray is empty.',
    remedy: 'Load the sheets, then print.',
  }),
  'printer/jam': () => ({
    what: 'Paper is jammed in the printer.',
    remedy: 'Take it out, load a new sheet, and print again what is missing.',
  }),
  'printer/media': ({ width, height }) =>
    width === undefined
      ? {
          what: 'The tray holds other paper than this job wants.',
          remedy: 'Load the sheet that the job names, then print.',
        }
      : {
          what: `The printer has no paper of ${width} × ${height} mm, and would print on another.`,
          remedy: 'Load the sheet, tell the printer its size, or choose another tray.',
        },
  'printer/not-ipp': ({ host, status }) => ({
    what: `What answers at ${host} is no printer (HTTP ${status}).`,
    remedy: 'Check the path of the address: often it is /ipp/print.',
  }),
  'printer/refused': (values) => ({
    what:
      'says' in values
        ? `The printer refused the job: ${values.says}.`
        : `The printer refused the job (${values.status}).`,
    remedy: 'Check its paper and settings.',
  }),
  'printer/stopped': ({ reason }) => ({
    what: reason ? wordsFor(REASONS, reason) : 'The printer gave the job up.',
    remedy: 'See to the printer, then print what is missing.',
  }),
  'printer/unreachable': ({ address }) => ({
    what: `The printer at ${address} does not answer.`,
    remedy: 'See that it is on and in the same network, and that the address is right.',
  }),
  'printer/wants-login': ({ address, wrong }) => ({
    what: wrong
      ? `The printer at ${address} does not take this name and password.`
      : `The printer at ${address} wants a name and password.`,
    remedy: 'Enter them in the Stock room.',
  }),
  'printer/wants-tls': ({ address }) => ({
    what: `The printer at ${address} wants to be reached over TLS.`,
    remedy: `Write its address as ${address.replace(/^ipp:/, 'ipps:')}.`,
  }),
  'printer/waits': ({ reason }) => ({
    what: wordsFor(REASONS, reason),
    remedy: 'See to the printer, then print again.',
  }),
  'profile/unread': ({ name, at }) => ({
    what: at
      ? `In ${quoted(name)} the value of ${quoted(at)} is none that a cut profile has.`
      : `${quoted(name)} is no cut profile.`,
    remedy: 'Choose a file that was saved with “Save the profile” on the card of a cutter.',
  }),
  'run/align': (values) => {
    const { marks } = values;
    const listed = marks.map(({ x, y }) => `${x},${y}`).join('; ');
    return {
      what:
        'places' in values
          ? `${values.places} places do not say how a sheet with ${marks.length} marks lies.`
          : `The places do not fit the marks of this sheet: they are ${values.off === undefined ? 'farther apart or nearer than these' : `${values.off.toFixed(1)} mm off`}.`,
      remedy: `Give two or more, in the marks’ order. Where the sheet lies true they are ${listed}.`,
    };
  },
  'run/blocked': ({ finding }) => ({
    what: findingText(finding as FindingName).what,
    remedy: `Mend it, or accept ${quoted(finding.code)}.`,
  }),
  'run/empty': () => ({
    what: 'There is nothing on this sheet.',
    remedy: 'Choose another sheet.',
  }),
  'run/loaded': (doubt) => ({
    what: wordsFor(SHEET_DOUBTS, doubt),
    remedy:
      'Take a sharp picture in even light with all corners in it, or set the corners by hand.',
  }),
  'run/not-cut': (doubt) => ({ what: wordsFor(SHEET_DOUBTS, doubt), remedy: '' }),
  'run/other-sheet': () => ({
    what: 'The marks are those of this sheet, but what is printed is not: it seems to be another one.',
    remedy: 'Lay in the sheet that this step names, and take its picture.',
  }),
};
