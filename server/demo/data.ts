import type { Cutter } from '#core/cutting'
import type { Conditions, End, OtherEnd, Policy } from '#core/joints'
import type { BenderRecord, FindBody, FittingRecord, JointBody, LineInput, OffcutBody, ToolRecord } from '#core/record'
import type { Region } from '#core/units'

export interface DemoJoint {
  place: string
  a: End
  b: OtherEnd
  valve?: JointBody['valve']
  /** Index of the find that end a came from. */
  find?: number
  conditions: Partial<Conditions>
  orientation?: 'horizontal' | 'vertical'
  /** Name of the fitting whose way is taken; none while undefined. */
  way?: string
  /** Day a temporary joint is come back to. */
  comeBack?: string
  /** Steps ticked so far. */
  ticks?: number
  /** UTC as the database keeps it. */
  signed?: { initials: string; at: string }
}

/** A find with what is not usual to it. */
export type DemoFind = Omit<FindBody, 'notes' | 'cannot'> & Partial<FindBody> & { photo?: string }

/** A cut sheet: pieces of lines of this pipe and typed ones, planned here, its first cuts ticked. */
export interface DemoCut {
  name: string
  pipe: string
  /** Numbers of the lines taken in. */
  lines: number[]
  extras: readonly (readonly [name: string, length: string, quantity: number])[]
  cutter: Cutter
  stock: string
  /** Cuts ticked, in order. */
  cuts: number
  /** A cut that came out at another length, mm, by its number. */
  wrong?: { number: number; length: number }
  /** Closed, its rests on the rack. UTC as the database keeps it. */
  finished?: { at: string; by: string }
}

export interface DemoJob {
  /** Whose hands were on it last, and how many hours ago. */
  by: string
  hours: number
  name: string
  place: string
  region: Region
  year?: number
  policy: Partial<Policy>
  tools?: ToolRecord[]
  fittings?: FittingRecord[]
  benders?: BenderRecord[]
  /** `fixed`: so many of its supports are on the wall. */
  lines?: (LineInput & { fixed?: number })[]
  cuts?: DemoCut[]
  rack?: OffcutBody[]
  handedOver?: string
  finds: DemoFind[]
  joints: DemoJoint[]
}

/** Our own made-up jobs. */
export const DEMO_JOBS: readonly DemoJob[] = [
  {
    name: 'Kiln Lane bakehouse',
    by: 'Wyn',
    hours: 0,
    place: 'dough sinks and proving-room loop',
    region: 'gb',
    year: 1958,
    policy: { compressionHidden: 'temporary-only' },
    tools: [
      { method: 'solder', sizes: [], due: null },
      { method: 'press', sizes: ['15', '22'], due: '2027-10-03' },
      { method: 'ml-press', sizes: ['16', '20'], due: '2027-10-03' },
    ],
    fittings: [
      { method: 'press', nominal: '22', fitting: 'coupling', insertion: 22.5, takeOut: 1, at: '2026-11-20' },
      { method: 'solder', nominal: '22', fitting: 'elbow', insertion: null, takeOut: 14.5, at: '2026-11-20' },
      {
        method: 'solder',
        nominal: '22 x 22 x 15',
        fitting: 'tee, run',
        insertion: 16,
        takeOut: 12.8,
        at: '2026-11-20',
      },
    ],
    benders: [
      {
        pipe: 'cu-en-x-22',
        radius: 76.887,
        setback: 77.3,
        springback: 3,
        test: { marks: [100, 500], hook: 250, measures: [227.3, 205.7], pulled: 93, angle: 90 },
        at: '2026-11-09',
      },
    ],
    lines: [
      {
        name: 'hot to the dough sinks',
        pipe: 'cu-en-x-22',
        method: 'solder',
        corners: 'fittings',
        start: 'valve take-out 24 depth 16 = valve',
        walls: ['e 1060 40'],
        legs: [
          'e 640',
          'u 900',
          'e 1140 offset s 65 @ 45 at 420 clip 150 820',
          'd 820 on 15 stop = sink 1',
          'from d e 900',
          'd 820 on 15 stop = sink 2',
        ],
        fix: { service: 'hot', temperature: 60, installedAt: 14, flow: '12 l/min' },
        fixed: 2,
      },
      {
        name: 'loop flow in the proving room',
        pipe: 'ml-en-20',
        method: 'ml-press',
        corners: 'bends',
        start: 'stop = header',
        walls: [],
        legs: ['d 300 bend', 'n 1200 bend', 'e 2400 bend', 's 900 stop = coil'],
        fix: { service: 'heating', temperature: 75, installedAt: 14, flow: '5.1 l/min' },
      },
    ],
    rack: [
      { pipe: 'cu-en-x-22', length: 1240, place: 'rack' },
      { pipe: 'cu-en-x-22', length: 915, place: 'van' },
      { pipe: 'cu-en-x-15', length: 860, place: 'rack' },
    ],
    cuts: [
      {
        name: 'sinks and loop',
        pipe: 'cu-en-x-22',
        lines: [1],
        cutter: 'wheel',
        stock: '3 m',
        cuts: 3,
        extras: [
          ['loop 1', '1310', 1],
          ['loop 2', '1275', 1],
          ['cold 3', '1094', 1],
          ['cold', '870,5', 2],
          ['loop 4', '640', 1],
          ['cold 1', '578', 1],
          ['loop 3', '191', 1],
          ['riser', '871', 1],
        ],
      },
    ],
    finds: [
      {
        place: 'north wall, stub behind the oven',
        typed: '21.5',
        by: 'calliper',
        answers: { colour: 'copper', flex: 'rigid', magnet: false, traced: 'water' },
        pipe: 'cu-bs-imp-3_4',
        notes: 'Painted twice. Old soldered tee 200 to the left: keep off it.',
      },
      {
        place: 'incoming main, under the step',
        typed: '25,1 mm',
        by: 'calliper',
        answers: { colour: 'blue', flex: 'springy', magnet: false, traced: 'water' },
        pipe: 'pe-en-25',
      },
    ],
    joints: [
      {
        place: 'main entry, under the step',
        a: { pipe: 'pe-en-25' },
        b: { pipe: 'cu-en-x-22' },
        find: 1,
        conditions: { service: 'cold' },
        way: 'PE x copper compression adaptor',
        signed: { initials: 'WY', at: '2026-11-23 08:40:00.000' },
      },
      {
        place: 'cold to sink 1, floor tee',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'cu-en-x-15' },
        conditions: { service: 'cold' },
        way: 'solder reducing coupling',
        signed: { initials: 'WY', at: '2026-11-23 10:15:00.000' },
      },
      {
        place: 'hot to sink 1, at the riser',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'cu-en-x-22' },
        conditions: { service: 'hot', combustibles: true },
        orientation: 'vertical',
        way: 'press coupling',
        ticks: 5,
      },
      {
        place: 'old stub to the loop, north wall',
        a: { pipe: 'cu-bs-imp-3_4' },
        b: { pipe: 'ml-en-20', barrier: true },
        find: 0,
        conditions: { service: 'heating', combustibles: true },
      },
      {
        place: 'loop return, header valve',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'ml-en-20', barrier: true },
        conditions: { service: 'heating' },
        way: 'press coupling',
      },
    ],
  },
  {
    name: 'Boat-shed wash-down',
    by: 'Ola',
    hours: 4,
    place: 'wash basins and rinse bench',
    region: 'us',
    policy: { typeMDrinking: 'refused' },
    tools: [
      { method: 'solder', sizes: [], due: null },
      { method: 'press', sizes: ['1/2', '3/4'], due: '2027-05-12' },
      { method: 'crimp', sizes: ['1/2', '3/4'], due: '2026-11-12' },
    ],
    fittings: [],
    lines: [
      {
        name: 'basin main',
        pipe: 'pex-cts-3_4',
        method: 'crimp',
        corners: 'fittings',
        start: 'stop = stub',
        walls: [],
        legs: [
          'e 36',
          'n 48 3/4 tee',
          'e 26 1/2 on 1/2 stop = basin 1',
          'from c n 42',
          'e 26 1/2 on 1/2 stop = basin 2',
        ],
        fix: { service: 'hot', temperature: 60, installedAt: 12, flow: '4 gpm' },
      },
    ],
    finds: [
      {
        place: 'riser beside the racks',
        typed: '1.05',
        by: 'calliper',
        answers: { colour: 'grey', magnet: true, flex: 'rigid' },
        pipe: 'st-40-3_4',
      },
      {
        place: 'stub to the basins',
        typed: '7/8 in',
        by: 'calliper',
        answers: { colour: 'copper', flex: 'rigid', traced: 'water' },
        pipe: 'cu-l-3_4',
      },
    ],
    joints: [
      {
        place: 'basin stub to the PEX main',
        a: { pipe: 'cu-l-3_4' },
        b: { pipe: 'pex-cts-3_4', pexType: 'b' },
        find: 1,
        conditions: { service: 'cold' },
        way: 'press x crimp adapter',
        signed: { initials: 'OL', at: '2026-11-20 15:05:00.000' },
      },
      {
        place: 'main to basin 1',
        a: { pipe: 'pex-cts-3_4', pexType: 'b' },
        b: { pipe: 'pex-cts-1_2', pexType: 'b' },
        conditions: { service: 'cold' },
        way: 'crimp reducing coupling',
        ticks: 3,
      },
      {
        place: 'rinse bench stub',
        a: { pipe: 'cu-l-1_2' },
        b: { pipe: 'pex-cts-1_2', pexType: 'b' },
        comeBack: '2026-12-03',
        conditions: { service: 'cold', wet: true, temporary: true },
        way: 'push-fit coupling',
      },
      {
        place: 'stop under basin 1, to the water filter',
        a: { pipe: 'cu-l-1_2' },
        b: { pipe: 'pe-od-3_8' },
        valve: { kind: 'angle', wall: 60, other: 140 },
        conditions: { service: 'cold' },
      },
    ],
  },
  {
    name: 'Glaze kiln room',
    by: 'Pim',
    hours: 22,
    place: 'old pipe at the north wall',
    region: 'gb',
    year: 1962,
    policy: {},
    finds: [
      {
        place: 'low on the north wall',
        typed: '21.5',
        by: 'calliper',
        answers: {},
        pipe: null,
        notes: 'Cut stub left of the door. Painted; wiped clean for the measure.',
        photo: 'north wall, low.jpg',
      },
    ],
    joints: [],
  },
  {
    name: 'Net loft drying coil',
    by: 'Wyn',
    hours: 50,
    place: 'flow and return, 22 copper',
    region: 'gb',
    policy: {},
    handedOver: '2026-11-19 16:30:00.000',
    cuts: [
      {
        name: 'flow and return',
        pipe: 'cu-en-x-22',
        lines: [],
        extras: [
          ['flow', '2240', 2],
          ['return', '1685', 2],
          ['tail', '410', 3],
        ],
        cutter: 'wheel',
        stock: '3 m',
        cuts: 7,
        wrong: { number: 1, length: 2210 },
        finished: { at: '2026-11-17 15:20:00.000', by: 'Wyn' },
      },
      {
        name: 'drain-off',
        pipe: 'cu-en-x-15',
        lines: [],
        extras: [
          ['drain', '1320', 1],
          ['vent', '905', 1],
          ['stub', '240', 2],
        ],
        cutter: 'hacksaw',
        stock: '3 m',
        cuts: 4,
        finished: { at: '2026-11-18 09:05:00.000', by: 'Orla' },
      },
    ],
    finds: [
      {
        place: 'boiler room',
        typed: '22',
        by: 'calliper',
        answers: { colour: 'copper', flex: 'rigid', traced: 'water' },
        pipe: 'cu-en-x-22',
      },
    ],
    joints: [
      {
        place: 'flow, at the header',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'cu-en-x-22' },
        find: 0,
        conditions: { service: 'heating' },
        way: 'press coupling',
        signed: { initials: 'WY', at: '2026-11-18 11:20:00.000' },
      },
      {
        place: 'return, at the header',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'cu-en-x-22' },
        conditions: { service: 'heating' },
        way: 'press coupling',
        signed: { initials: 'WY', at: '2026-11-18 11:35:00.000' },
      },
      {
        place: 'drain-off branch',
        a: { pipe: 'cu-en-x-22' },
        b: { pipe: 'cu-en-x-15' },
        conditions: { service: 'heating' },
        way: 'solder reducing coupling',
        signed: { initials: 'OL', at: '2026-11-18 14:10:00.000' },
      },
    ],
  },
]
