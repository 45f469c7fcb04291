/** What has to be painted for one picture. core/Picture/FramePlan.php makes it. */

export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface TextLine {
  text: string;
  x: number;
  y: number;
  size: number;
  width: number;
  weight: number;
}

export interface Card {
  width: number;
  height: number;
  ground: string;
  ink: string;
  lines: TextLine[];
}

export interface Layer {
  key: string;
  source: string | null;
  card: Card | null;
  /** canvas pixels */
  dest: Rect;
  /** fractions of the source, before it is turned */
  crop: Rect;
  /** quarter turns clockwise */
  turn: number;
  /** left and right change places after turning */
  mirror: boolean;
  opacity: number;
  /** a flat colour instead of a source */
  fill: string | null;
  /** what lies behind is seen through it */
  lets_through: boolean;
  /** what it is cut to, and what is drawn around it; null: nothing */
  frame: Frame | null;
  /** the same in two pictures: one window that travels in a glide */
  glide: string;
}

/** core/Picture/Frame.php */
export interface Frame {
  outline: Rect & { radius: number };
  /** pixels inside the outline */
  border: number;
  border_colour: string;
  /** pixels over which the shadow fades */
  shadow: number;
  shade: number;
}

/** What is done to every frame of a source. core/Rig/Live/Handling.php makes it. */
export interface LookPlan {
  colour: { tables: [number[], number[], number[]]; matrix: number[] | null } | null;
  key: KeyPlan | null;
}

export interface KeyPlan {
  colour: [number, number, number];
  /** direction of the backing in (Cb, Cr) */
  along: [number, number];
  across: number;
  /** levels of the backing itself along its direction */
  full: number;
  /** share of backing in a pixel beyond which what stands in front cannot be told */
  most_mixed: number;
  low: number;
  high: number;
  spill: number;
  /** change of red, green and blue for one level along */
  axis: [number, number, number];
  inside: Rect;
}

export interface FramePlan {
  canvas: { width: number; height: number };
  background: string;
  layers: Layer[];
}
