import type { SectionDrawing } from '../../core/drawing';
import type {
  DocumentKind,
  Documents,
  LessonPack,
  OpenFailure,
  PackFailure,
} from '../../core/formats';
import type { Converter, Engine, StatorFault } from '../../core/converter';
import type { SearchStep, ToothSearch, Unit } from '../../core/geartrain';
import type { LaunchResult, Vehicle } from '../../core/vehicle';

/** Messages between the page and the worker that opens and packs files. An error crosses as a value. */
export type OpenedFile =
  | { readonly kind: 'lesson'; readonly pack: LessonPack }
  | {
      readonly kind: 'document';
      readonly format: Exclude<DocumentKind, 'fair-sprocket/lesson'>;
      readonly document: Documents[Exclude<DocumentKind, 'fair-sprocket/lesson'>];
    };

export type FileFailure = OpenFailure | PackFailure | { readonly cause: 'not-text' };

export type OpenFileResult =
  | { readonly ok: true; readonly file: OpenedFile }
  | { readonly ok: false; readonly failure: FileFailure };

export interface FileWorker {
  openFile(bytes: Uint8Array): OpenFileResult;
  packLesson(pack: LessonPack): Uint8Array;
}

/** Messages between the page and the worker that lays drawings out. */
export interface DrawingWorker {
  sectionDrawing(unit: Unit, keep: readonly string[]): SectionDrawing;
}

/** Messages between the page and the workers that search tooth counts. */
export interface SearchWorker {
  searchTeeth(
    search: ToothSearch,
    part: { readonly index: number; readonly of: number },
    onStep: (step: SearchStep) => void,
  ): void;
}

/** A launch as documents and numbers; the worker makes the models from them. */
export interface LaunchRequest {
  readonly engine: Engine;
  readonly converter: Converter;
  readonly fault: StatorFault | null;
  readonly vehicle: Vehicle;
  readonly gears: readonly number[];
  readonly throttle: number;
  readonly grade: number;
}

/** Messages between the page and the worker that runs launches. */
export interface LaunchWorker {
  launch(request: LaunchRequest): LaunchResult;
}
