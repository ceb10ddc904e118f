import type { z } from 'zod';
import type { Contour, Corner } from '../../contour/index.ts';
import type { Lathe } from '../../lathe/index.ts';
import type { Part, SurfaceId } from '../../part/index.ts';
import type { Tool, ToolShape } from '../../tool/index.ts';
import type { Workpiece } from '../../work/index.ts';
import type { AnyOperation, Note } from './any.ts';

/** Fields that a kind has of its own, its name with them; one without any has the name alone. */
export type OwnOf<Kind extends string, Own extends z.ZodRawShape> = { readonly kind: Kind } & (keyof Own extends never
  ? unknown
  : Readonly<z.infer<z.ZodObject<Own>>>);
/** An operation of one kind with the fields of its own. */
export type OfKind<Kind extends string, Own extends z.ZodRawShape> = AnyOperation & OwnOf<Kind, Own>;

/**
 * What the hand does at its step: a cut set by a number, which roughs, takes half of what is left, or is the last; touching off;
 * measuring; or anything that is done as the words say.
 */
export type Act = 'rough' | 'half' | 'last' | 'touchOff' | 'measure' | 'plain';

/** A hole as a tool in the tailstock leaves it. zPart, mm. */
export interface Opened {
  readonly diameterMm: number;
  readonly zFromMm: number;
  readonly zToMm: number;
}

/** What a kind's notes are made from. */
export interface NotedOf {
  readonly lathe: Lathe;
  readonly piece: Workpiece;
  readonly tool: Tool;
}

/** A tool on its way: its true shape, and the places that its point goes through, straight from one to the next. zPart, mm. */
export interface Stroke {
  readonly shape: ToolShape;
  readonly path: readonly Corner[];
  /** which pass of the operation it belongs to, 1 for the first */
  readonly passNumber: number;
}
/** What strokes are made from: the work as it stands just before, and the tool. */
export interface StrokesOf {
  readonly piece: Workpiece;
  readonly tool: Tool;
  /** whether an arbor stands in the hole */
  readonly onArbor: boolean;
}

/** All that is known of a kind of operation besides how it is planned; where nothing is said it cuts nothing, or finishes nothing. */
export interface KindOfOperation<O extends AnyOperation & { readonly kind: string }> {
  readonly kind: O['kind'];
  /** its own fields, as a run stores them */
  readonly own: z.ZodRawShape;
  readonly act: Act;
  /** whether the spindle turns, and the slide that is held while another feeds */
  readonly turns: boolean;
  readonly holds?: 'carriage';
  /** what the tailstock does where it is to carry the work: not there yet, brings a tool, carries, or is set for the first time */
  readonly tailstock: 'away' | 'drills' | 'carries' | 'isSet';
  /** the way its tool feeds under power or by hand, for the time that a speed saves; what is done by hand takes the same at any */
  readonly feeds?: 'along' | 'across';
  /** whether any slower speed does as well */
  readonly slowDoes?: true;
  /** length along the bed that is read while it is made */
  readonly makes?: 'overall' | 'shoulder';
  /** what the tool goes through, as a half-section; of it only metal is cut */
  readonly swept?: (operation: O, piece: Workpiece) => Contour | undefined;
  /** the ways its tool goes as it is told, with its true shape; none of what is done by hand or off the lathe */
  readonly strokes?: (operation: O, at: StrokesOf) => readonly Stroke[];
  /** whether metal comes off by file or saw, which no tool's way tells of */
  readonly byHand?: true;
  /** what is blended by file after the tool's steps, as a half-section */
  readonly blended?: (operation: O, piece: Workpiece) => Contour | undefined;
  /** whether the piece is off its spare stock when it is done */
  readonly cutsOff?: true;
  /** the hole that it leaves, where a tool in the tailstock makes one */
  readonly opens?: (operation: O) => Opened;
  /** what is worth knowing at it */
  readonly notes?: (operation: O, about: NotedOf) => readonly Note[];
  /** surfaces that are finished when it is done */
  readonly finishes?: (operation: O, part: Part) => readonly SurfaceId[];
}

/** What an operation without passes and loads has in their place. */
export const bare = { passes: [], exceeds: [] } as const;
/** Beyond everything, mm: a cut from outside begins in the air. */
export const AIR_MM = 5;
/** A tool runs in from so far beyond the end of the metal, mm. */
export const PAST_MM = 1;
/** The ways that all belong to one pass. */
export const inOnePass = (shape: ToolShape, ...paths: readonly (readonly Corner[])[]): readonly Stroke[] =>
  paths.map((path) => ({ shape, path, passNumber: 1 }));
/** Feed of a steady hand, mm per rev. */
export const HAND_FEED = 0.1;
