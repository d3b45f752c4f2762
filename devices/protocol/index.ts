import * as z from 'zod';
import { cutCommandsSchema, serialLineSchema } from '../../core/stock/index.ts';
import { faultsSchema } from '../../core/run/index.ts';

/** What a page and the bridge to its devices say to each other, read by both with the same schemas. */

/** Where the bridge is asked, on the server that served the page. */
export const BRIDGE_PATH = '/api/bridge';
/** The header that carries the token of a page of one's own. */
export const TOKEN_HEADER = 'x-little-peel';
export const PDF_TYPE = 'application/pdf';

const address = z.string().max(300);
/** A number, also as it stands in an address. */
const number = (schema: z.ZodNumber) =>
  z.preprocess((text) => (typeof text === 'string' ? Number(text) : text), schema);
const side = number(z.number().min(10).max(2000));

export const deviceSchema = z.strictObject({ kind: z.enum(['printer', 'cutter']), address });
export type DeviceKind = z.infer<typeof deviceSchema>['kind'];

/** Of a request that names nothing. */
export const nothingSchema = z.strictObject({});

export const addressSchema = z.strictObject({ address });

/** Trusts a certificate at an address: SHA-256, as `AB:CD:…`. */
export const trustSchema = z.strictObject({
  address,
  fingerprint: z.string().regex(/^([\dA-F]{2}:){31}[\dA-F]{2}$/),
});

/** The name and password that a printer asks for; an empty name forgets them. */
export const loginSchema = z.strictObject({
  address,
  user: z
    .string()
    .max(200)
    .regex(/^[^:]*$/),
  password: z.string().max(200),
});

/** What a cutter is sent, and how: as the card of the cutter says. */
export const cutOrderSchema = z.strictObject({
  address,
  program: z.strictObject({
    start: cutCommandsSchema(2000),
    cuts: z.array(cutCommandsSchema(4_000_000)).max(100_000),
    end: cutCommandsSchema(2000),
    stop: cutCommandsSchema(2000),
  }),
  line: z
    .strictObject({
      line: serialLineSchema,
      buffer: z.int().min(0).max(1_000_000),
      answers: z.boolean().optional(),
    })
    .optional(),
  /** How many cuts were made before. */
  done: z.int().min(0).max(1_000_000).optional(),
  /** By which a page tells it to rest. */
  work: z
    .string()
    .regex(/^[\w-]{1,64}$/)
    .optional(),
});
export type CutterOrder = z.infer<typeof cutOrderSchema>;

export const restSchema = z.strictObject({
  work: z.string().max(64),
  rests: z.boolean(),
});

/** Who is asked for its identity and place: a cutter, and how its wire is set. */
export const helloSchema = cutOrderSchema.pick({ address: true, line: true });
export const cutterHelloSchema = z.object({
  identity: z.string().optional(),
  position: z.string().optional(),
});
export type CutterHello = z.infer<typeof cutterHelloSchema>;

/** A port of the computer that serves the page. */
export const cablePortSchema = z.object({ address: z.string(), name: z.string() });
export type CablePort = z.infer<typeof cablePortSchema>;

const said = z.string().max(120);
/** A device as it announces itself, before anything was sent to it. */
export const foundDeviceSchema = z.object({
  kind: z.enum(['printer', 'cutter']),
  name: said,
  model: said.optional(),
  /** Where it stands, in the words of whoever set it up. */
  place: said.optional(),
  address,
  /** The same printer over TLS, where it is reached both ways. */
  secure: address.optional(),
  /** What it says that it can; absent where it does not say. */
  color: z.boolean().optional(),
  duplex: z.boolean().optional(),
  takesPdf: z.boolean().optional(),
});
export type FoundDevice = z.infer<typeof foundDeviceSchema>;

/** How a PDF is printed: mm, and trays and kinds of paper as the printer calls them. */
export const printOrderSchema = z.strictObject({
  address,
  name: z.string().max(200),
  width: side,
  height: side,
  copies: number(z.number().int().min(1).max(999)).optional(),
  /** How many sheets of paper come out, all copies together. */
  sheets: number(z.number().int().min(1).max(100_000)).optional(),
  sides: z.enum(['one-sided', 'two-sided-long-edge', 'two-sided-short-edge']).optional(),
  quality: z.enum(['draft', 'normal', 'high']).optional(),
  color: z.enum(['auto', 'color', 'monochrome']).optional(),
  tray: z.string().max(100).optional(),
  type: z.string().max(100).optional(),
});
export type PrintOrder = z.infer<typeof printOrderSchema>;

/** Something that has words in `messages/`. */
const codedSchema = z.object({ code: z.string(), values: z.record(z.string(), z.unknown()) });
export const problemSchema = codedSchema.extend({ where: z.string().optional() });

export const tokenSchema = z.object({ token: z.string() });

/** Something in a printer that is used up, or fills. */
export const printerSupplySchema = z.object({
  name: z.string(),
  /** How much is left, percent; absent where the printer does not tell. */
  level: z.number().optional(),
  /** `#rrggbb` of an ink. */
  color: z.string().optional(),
  state: z.enum(['well', 'low', 'out']),
});
export type PrinterSupply = z.infer<typeof printerSupplySchema>;

/** What a printer says of itself. */
export const printerToldSchema = z.object({
  name: z.string(),
  state: z.string(),
  reasons: z.array(codedSchema),
  /** Sizes of paper by their standard names, trays, kinds of paper. */
  media: z.array(z.string()),
  trays: z.array(z.string()),
  types: z.array(z.string()),
  supplies: z.array(printerSupplySchema),
  /** How many copies of a job it makes by itself. */
  copies: z.number(),
  takesPdf: z.boolean(),
  duplex: z.boolean(),
  color: z.boolean(),
  /** Whether it says that it can print without scaling. */
  unscaled: z.boolean(),
  /** What it leaves free at the top, right, bottom and left where it leaves least, mm. */
  margins: z.tuple([z.number(), z.number(), z.number(), z.number()]).optional(),
});
export type PrinterTold = z.infer<typeof printerToldSchema>;

/** What the simulated devices did, the latest first. */
export const simulatedStateSchema = z.object({
  printer: z
    .object({
      address: z.string(),
      jobs: z.array(
        z.object({
          id: z.number(),
          name: z.string(),
          media: z.string(),
          /** How many pages. */
          pages: z.number(),
          state: z.number(),
        }),
      ),
    })
    .optional(),
  cutter: z
    .object({
      address: z.string(),
      /** Whether the line was lost, and how much came. */
      cuts: z.array(z.object({ torn: z.boolean(), bytes: z.number() })),
    })
    .optional(),
  faults: faultsSchema,
});
export type SimulatedDevicesState = z.infer<typeof simulatedStateSchema>;

/** A line of what a device does: how far it is, or at the end what came of it. */
export const progressSchema = z.object({ share: z.number(), doing: codedSchema });
/** What a request gives that can fail. */
export const resultSchema = <T extends z.ZodType>(value: T) =>
  z.union([
    z.object({ ok: z.literal(true), value }),
    z.object({ ok: z.literal(false), problem: problemSchema }),
  ]);
