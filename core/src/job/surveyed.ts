import type {
  BoardLevel,
  Condition,
  ExistingCoat,
  Fibres,
  Known,
  Raking,
  RepairClass,
  Sheen,
  SolventRub,
  Stain,
  Substrate,
  Texture,
  Toucher,
  WaterDrop,
  Wipe,
  Zone,
} from './vocabulary.ts';

export interface Survey {
  readonly substrate: Substrate;
  readonly texture: Texture;
  /** Of a sprayed texture: was it tested for asbestos? */
  readonly fibres: Fibres;
  readonly coat: ExistingCoat;
  readonly condition: Condition;
  readonly repairs: Readonly<Record<RepairClass, number>>;
  readonly stains: readonly Stain[];
  readonly porous: Known;
  /** Who touches it, so that it is wiped. */
  readonly touched: readonly Toucher[];
  /** What is on it now, and other old colours on it: patches, a stripe. */
  readonly colour: string;
  readonly patches: readonly string[];
  readonly sheen: Sheen;
  /** Wax or polish was used on it. */
  readonly wax: Known;
  readonly damp: Known;
  /** Plaster or filler that has not dried through. */
  readonly fresh: boolean;
  /** Light from a window or a lamp grazes it. */
  readonly raking: Raking;
  readonly level: BoardLevel;
  readonly solvent: SolventRub;
  readonly drop: WaterDrop;
  readonly wipe: Wipe;
  /** Moisture by a pin meter, per cent on its wood scale; null: not measured. */
  readonly moisture: number | null;
  /** Cross-cut class of ISO 2409, 0 best to 5; null: not tested. */
  readonly adhesion: number | null;
  /** Year the building's paint may go back to; null: not known. */
  readonly built: number | null;
  /** A door's edges and handle zones, where they differ from its faces. */
  readonly zones: Readonly<Partial<Record<Zone, ZoneSurvey>>>;
}

export type ZoneSurvey = Partial<Pick<Survey, 'coat' | 'condition' | 'solvent' | 'adhesion' | 'wax'>>;
