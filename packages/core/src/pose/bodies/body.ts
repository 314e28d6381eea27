import {
  type Capsule,
  capsulesOf,
  FRAMES,
  framesOf,
  type Lengths,
  LIMITS,
  lengthsOf,
  type PoseBuild,
  UNKNOWNS,
} from './skeleton.ts';
import { after, clamp, length, NO_ROTATION, type Rotation, rotation, scale, type Vec3 } from './vec3.ts';

/** What a pose is made of: where the pelvis is, how it is turned, and the joint angles (the first six are not used). */
export interface BodyState {
  place: Vec3;
  turn: Rotation;
  angles: Float64Array;
}

/** A body of exact lengths: its frames by its joint angles, and how each point of it moves with each of them. */
export class Body {
  readonly lengths: Lengths;
  readonly capsules: readonly Capsule[];
  angles = new Float64Array(UNKNOWNS);
  place: Vec3 = [0, 0, 1];
  turn: Rotation = NO_ROTATION;

  /** Where each frame starts and how it is turned, row by row. */
  private readonly origins = new Float64Array(3 * FRAMES);
  private readonly turns = new Float64Array(9 * FRAMES);
  private readonly frames: ReturnType<typeof framesOf>;
  /** Of every joint: its unknown, its gain, its axis and where that runs through, in the world. */
  private readonly unknowns: Int32Array;
  private readonly gains: Float64Array;
  private readonly axes: Float64Array;
  private readonly through: Float64Array;
  /** The joints that move a frame. */
  private readonly chains: Int32Array[] = [];

  constructor(build: PoseBuild) {
    this.lengths = lengthsOf(build);
    this.frames = framesOf(this.lengths);
    this.capsules = capsulesOf(this.lengths);
    const joints = this.frames.flatMap((frame) => frame.joints);
    this.unknowns = Int32Array.from(joints, ({ unknown }) => unknown);
    this.gains = Float64Array.from(joints, ({ gain }) => gain);
    this.axes = new Float64Array(3 * joints.length);
    this.through = new Float64Array(3 * joints.length);
    let next = 0;
    for (const { parent, joints: own } of this.frames) {
      const before = parent < 0 ? [] : [...this.chains[parent]!];
      this.chains.push(Int32Array.from([...before, ...own.map(() => next++)]));
    }
    this.forward();
  }

  /** Places every frame by the state. */
  forward(): void {
    const { origins: o, turns: m } = this;
    const axes = this.axes;
    const through = this.through;
    let joint = 0;
    for (let f = 0; f < FRAMES; f++) {
      const { parent, offset, joints } = this.frames[f]!;
      const own = 9 * f;
      if (parent < 0) {
        for (let i = 0; i < 3; i++) o[i] = this.place[i]!;
        for (let i = 0; i < 9; i++) m[i] = this.turn[i]!;
        continue;
      }
      const up = 9 * parent;
      for (let i = 0; i < 9; i++) m[own + i] = m[up + i]!;
      for (let i = 0; i < 3; i++) {
        const row = up + 3 * i;
        o[3 * f + i] =
          o[3 * parent + i]! + m[row]! * offset[0] + m[row + 1]! * offset[1] + m[row + 2]! * offset[2];
      }
      for (const { unknown, axis, sign, gain } of joints) {
        const angle = sign * gain * this.angles[unknown]!;
        const c = Math.cos(angle);
        const s = Math.sin(angle);
        const j = (axis + 1) % 3;
        const k = (axis + 2) % 3;
        for (let i = 0; i < 3; i++) {
          const row = own + 3 * i;
          axes[3 * joint + i] = sign * m[row + axis]!;
          through[3 * joint + i] = o[3 * f + i]!;
          const first = m[row + j]!;
          const second = m[row + k]!;
          m[row + j] = c * first + s * second;
          m[row + k] = c * second - s * first;
        }
        joint++;
      }
    }
  }

  /** Where a frame starts. */
  origin(frame: number): Vec3 {
    const at = 3 * frame;
    return [this.origins[at]!, this.origins[at + 1]!, this.origins[at + 2]!];
  }

  /** A point of a frame in the world. */
  point(frame: number, [x, y, z]: Vec3): Vec3 {
    const m = this.turns;
    const r = 9 * frame;
    const o = 3 * frame;
    return [
      this.origins[o]! + m[r]! * x + m[r + 1]! * y + m[r + 2]! * z,
      this.origins[o + 1]! + m[r + 3]! * x + m[r + 4]! * y + m[r + 5]! * z,
      this.origins[o + 2]! + m[r + 6]! * x + m[r + 7]! * y + m[r + 8]! * z,
    ];
  }

  /** A direction of a frame in the world. */
  direction(frame: number, [x, y, z]: Vec3): Vec3 {
    const m = this.turns;
    const r = 9 * frame;
    return [
      m[r]! * x + m[r + 1]! * y + m[r + 2]! * z,
      m[r + 3]! * x + m[r + 4]! * y + m[r + 5]! * z,
      m[r + 6]! * x + m[r + 7]! * y + m[r + 8]! * z,
    ];
  }

  /** A point of the world in a frame's own terms. */
  local(frame: number, [x, y, z]: Vec3): Vec3 {
    const m = this.turns;
    const r = 9 * frame;
    const o = 3 * frame;
    const [a, b, c] = [x - this.origins[o]!, y - this.origins[o + 1]!, z - this.origins[o + 2]!];
    return [
      m[r]! * a + m[r + 3]! * b + m[r + 6]! * c,
      m[r + 1]! * a + m[r + 4]! * b + m[r + 7]! * c,
      m[r + 2]! * a + m[r + 5]! * b + m[r + 8]! * c,
    ];
  }

  /** Adds how g·p changes with the unknowns, p a point that moves with a frame, to a row at an offset. */
  addPoint(row: Float64Array, at: number, frame: number, p: Vec3, g: Vec3): void {
    row[at] = row[at]! + g[0];
    row[at + 1] = row[at + 1]! + g[1];
    row[at + 2] = row[at + 2]! + g[2];
    const x = p[0] - this.place[0];
    const y = p[1] - this.place[1];
    const z = p[2] - this.place[2];
    row[at + 3] = row[at + 3]! + y * g[2] - z * g[1];
    row[at + 4] = row[at + 4]! + z * g[0] - x * g[2];
    row[at + 5] = row[at + 5]! + x * g[1] - y * g[0];
    const chain = this.chains[frame]!;
    const axes = this.axes;
    const through = this.through;
    for (let i = 0; i < chain.length; i++) {
      const joint = chain[i]!;
      const a = 3 * joint;
      const rx = p[0] - through[a]!;
      const ry = p[1] - through[a + 1]!;
      const rz = p[2] - through[a + 2]!;
      const unknown = at + this.unknowns[joint]!;
      row[unknown] =
        row[unknown]! +
        this.gains[joint]! *
          (axes[a]! * (ry * g[2] - rz * g[1]) +
            axes[a + 1]! * (rz * g[0] - rx * g[2]) +
            axes[a + 2]! * (rx * g[1] - ry * g[0]));
    }
  }

  /** The same for a direction that turns with a frame. */
  addDirection(row: Float64Array, at: number, frame: number, d: Vec3, g: Vec3): void {
    const x = d[1] * g[2] - d[2] * g[1];
    const y = d[2] * g[0] - d[0] * g[2];
    const z = d[0] * g[1] - d[1] * g[0];
    row[at + 3] = row[at + 3]! + x;
    row[at + 4] = row[at + 4]! + y;
    row[at + 5] = row[at + 5]! + z;
    const chain = this.chains[frame]!;
    for (let i = 0; i < chain.length; i++) {
      const joint = chain[i]!;
      const a = 3 * joint;
      const unknown = at + this.unknowns[joint]!;
      row[unknown] =
        row[unknown]! +
        this.gains[joint]! * (this.axes[a]! * x + this.axes[a + 1]! * y + this.axes[a + 2]! * z);
    }
  }

  save(): BodyState {
    return { place: this.place, turn: this.turn, angles: this.angles.slice() };
  }

  load({ place, turn, angles }: BodyState): void {
    this.place = place;
    this.turn = turn;
    this.angles = angles.slice();
    this.forward();
  }

  /** Moves by a part of a step of the unknowns; joint angles stay within their limits. */
  move(step: Float64Array, at: number, part = 1): void {
    const [x, y, z] = this.place;
    this.place = [x + step[at]! * part, y + step[at + 1]! * part, z + step[at + 2]! * part];
    const w: Vec3 = [step[at + 3]! * part, step[at + 4]! * part, step[at + 5]! * part];
    const angle = length(w);
    if (angle > 1e-12) this.turn = after(rotation(scale(w, 1 / angle), angle), this.turn);
    for (let i = 6; i < UNKNOWNS; i++) {
      const [least, most] = LIMITS[i]!;
      this.angles[i] = clamp(this.angles[i]! + step[at + i]! * part, least, most);
    }
    this.forward();
  }
}
