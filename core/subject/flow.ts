/** No arc, or a root: an arc to a terminal. */
const NONE = -1;
const TERMINAL = -2;
const ORPHAN = -3;
const FREE = 0;
const SOURCE = 1;
const SINK = 2;

/**
 * The least cut of a graph between a source and a sink. Source: Y. Boykov and V. Kolmogorov, An Experimental
 * Comparison of Min-Cut/Max-Flow Algorithms (2004): two trees grow until they touch, and are kept from
 * one path to the next.
 */
export class FlowGraph {
  private readonly first: Int32Array;
  private readonly next: Int32Array;
  private readonly head: Int32Array;
  /** What an arc can still carry; the arc back is its number with the last bit changed. */
  private readonly left: Float64Array;
  /** What the source still sends into a node; below zero, what it still sends into the sink. */
  private readonly terminal: Float64Array;
  private readonly tree: Uint8Array;
  /** The arc from a node to its parent in its tree. */
  private readonly parent: Int32Array;
  private readonly distance: Int32Array;
  private readonly stamp: Int32Array;
  private readonly active: Int32Array;
  private readonly isActive: Uint8Array;
  private readonly nodes: number;
  private arcs = 0;
  private read = 0;
  private written = 0;
  private time = 0;
  private orphans: number[] = [];

  /** @param pairs how many pairs of neighbours there are at most */
  constructor(nodes: number, pairs: number) {
    this.nodes = nodes;
    this.first = new Int32Array(nodes).fill(NONE);
    this.next = new Int32Array(pairs * 2);
    this.head = new Int32Array(pairs * 2);
    this.left = new Float64Array(pairs * 2);
    this.terminal = new Float64Array(nodes);
    this.tree = new Uint8Array(nodes);
    this.parent = new Int32Array(nodes).fill(NONE);
    this.distance = new Int32Array(nodes);
    this.stamp = new Int32Array(nodes);
    this.active = new Int32Array(nodes + 1);
    this.isActive = new Uint8Array(nodes);
  }

  /** Adds what it costs that a node is on the side of the sink (`source`), or of the source (`sink`). */
  addTerminal(node: number, source: number, sink: number): void {
    this.terminal[node] = (this.terminal[node] as number) + source - sink;
  }

  /** Adds what it costs that two nodes are on different sides. */
  addPair(one: number, other: number, cost: number): void {
    for (const [from, to] of [
      [one, other],
      [other, one],
    ] as const) {
      const arc = this.arcs++;
      this.head[arc] = to;
      this.left[arc] = cost;
      this.next[arc] = this.first[from] as number;
      this.first[from] = arc;
    }
  }

  /** Cuts the graph: 1 for each node on the side of the source. */
  cut(): Uint8Array {
    for (let node = 0; node < this.nodes; node++) {
      const flow = this.terminal[node] as number;
      if (flow === 0) continue;
      this.tree[node] = flow > 0 ? SOURCE : SINK;
      this.parent[node] = TERMINAL;
      this.distance[node] = 1;
      this.activate(node);
    }
    for (let node = this.nextActive(); node !== NONE; node = this.nextActive()) {
      for (let arc = this.grow(node); arc !== NONE; arc = this.grow(node)) {
        this.time++;
        this.augment(arc);
        this.adopt();
        if (this.tree[node] === FREE) break;
      }
    }
    return this.tree.map((tree) => (tree === SOURCE ? 1 : 0));
  }

  private activate(node: number): void {
    if (this.isActive[node] !== 0) return;
    this.isActive[node] = 1;
    this.active[this.written] = node;
    this.written = (this.written + 1) % this.active.length;
  }

  private nextActive(): number {
    while (this.read !== this.written) {
      const node = this.active[this.read] as number;
      this.read = (this.read + 1) % this.active.length;
      this.isActive[node] = 0;
      if (this.tree[node] !== FREE) return node;
    }
    return NONE;
  }

  /** Grows a tree at a node; gives the arc from the source's tree to the sink's where they touch. */
  private grow(node: number): number {
    const own = this.tree[node] as number;
    for (let arc = this.first[node] as number; arc !== NONE; arc = this.next[arc] as number) {
      const along = own === SOURCE ? arc : arc ^ 1;
      if ((this.left[along] as number) <= 0) continue;
      const to = this.head[arc] as number;
      const other = this.tree[to] as number;
      if (other === FREE) {
        this.tree[to] = own;
        this.parent[to] = arc ^ 1;
        this.stamp[to] = this.stamp[node] as number;
        this.distance[to] = (this.distance[node] as number) + 1;
        this.activate(to);
      } else if (other !== own) return along;
      else if (
        (this.stamp[to] as number) <= (this.stamp[node] as number) &&
        (this.distance[to] as number) > (this.distance[node] as number)
      ) {
        // A shorter way to the root.
        this.parent[to] = arc ^ 1;
        this.stamp[to] = this.stamp[node] as number;
        this.distance[to] = (this.distance[node] as number) + 1;
      }
    }
    return NONE;
  }

  /** Sends through a path what its narrowest place lets through. */
  private augment(middle: number): void {
    const { left, parent, head, terminal } = this;
    let flow = left[middle] as number;
    const from = head[middle ^ 1] as number;
    const to = head[middle] as number;
    let node = from;
    for (; parent[node] !== TERMINAL; node = head[parent[node] as number] as number)
      flow = Math.min(flow, left[(parent[node] as number) ^ 1] as number);
    flow = Math.min(flow, terminal[node] as number);
    for (node = to; parent[node] !== TERMINAL; node = head[parent[node] as number] as number)
      flow = Math.min(flow, left[parent[node] as number] as number);
    flow = Math.min(flow, -(terminal[node] as number));

    left[middle] = (left[middle] as number) - flow;
    left[middle ^ 1] = (left[middle ^ 1] as number) + flow;
    for (node = from; parent[node] !== TERMINAL;) {
      const up = parent[node] as number;
      left[up] = (left[up] as number) + flow;
      left[up ^ 1] = (left[up ^ 1] as number) - flow;
      if ((left[up ^ 1] as number) <= 0) this.orphan(node);
      node = head[up] as number;
    }
    terminal[node] = (terminal[node] as number) - flow;
    if (terminal[node] === 0) this.orphan(node);
    for (node = to; parent[node] !== TERMINAL;) {
      const up = parent[node] as number;
      left[up ^ 1] = (left[up ^ 1] as number) + flow;
      left[up] = (left[up] as number) - flow;
      if ((left[up] as number) <= 0) this.orphan(node);
      node = head[up] as number;
    }
    terminal[node] = (terminal[node] as number) + flow;
    if (terminal[node] === 0) this.orphan(node);
  }

  private orphan(node: number): void {
    this.parent[node] = ORPHAN;
    this.orphans.push(node);
  }

  /** Finds new parents for nodes that have lost theirs; those that find none are free. */
  private adopt(): void {
    while (this.orphans.length) {
      const node = this.orphans.pop() as number;
      const own = this.tree[node] as number;
      let best = NONE;
      let least = Infinity;
      for (let arc = this.first[node] as number; arc !== NONE; arc = this.next[arc] as number) {
        if ((this.left[own === SOURCE ? arc ^ 1 : arc] as number) <= 0) continue;
        const to = this.head[arc] as number;
        if (this.tree[to] !== own) continue;
        const distance = this.toRoot(to);
        if (distance >= least) continue;
        least = distance;
        best = arc;
      }
      if (best !== NONE) {
        this.parent[node] = best;
        this.stamp[node] = this.time;
        this.distance[node] = least + 1;
      } else this.release(node, own);
    }
  }

  /** How far it is to the root of a node's tree; Infinity where it hangs in the air. */
  private toRoot(from: number): number {
    const { parent, head, stamp, distance, time } = this;
    let steps = 0;
    let node = from;
    for (; stamp[node] !== time; steps++) {
      const up = parent[node] as number;
      if (up === TERMINAL) {
        stamp[node] = time;
        distance[node] = 1;
        break;
      }
      if (up === ORPHAN || up === NONE) return Infinity;
      node = head[up] as number;
    }
    const whole = steps + (distance[node] as number);
    // What lies on the way is known from now on.
    let known = whole;
    for (node = from; stamp[node] !== time; node = head[parent[node] as number] as number) {
      stamp[node] = time;
      distance[node] = known--;
    }
    return whole;
  }

  private release(node: number, own: number): void {
    for (let arc = this.first[node] as number; arc !== NONE; arc = this.next[arc] as number) {
      const to = this.head[arc] as number;
      if (this.tree[to] !== own) continue;
      if ((this.left[own === SOURCE ? arc ^ 1 : arc] as number) > 0) this.activate(to);
      const up = this.parent[to] as number;
      if (up >= 0 && this.head[up] === node) this.orphan(to);
    }
    this.tree[node] = FREE;
    this.parent[node] = NONE;
  }
}
