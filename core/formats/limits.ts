/** Sizes past which a file is refused before it is read, each with its purpose. */

/** A lone JSON document. A lesson of a hundred steps is well under 1 MB. */
export const MOST_JSON_BYTES = 8 * 1024 * 1024;

/** A whole pack, packed or unpacked: lesson, units and pictures. */
export const MOST_PACK_BYTES = 64 * 1024 * 1024;

/** Files in a pack. */
export const MOST_PACK_ENTRIES = 400;

/** One picture. */
export const MOST_PICTURE_BYTES = 6 * 1024 * 1024;

/** Levels of nesting in JSON; a lesson needs about ten. */
export const MOST_DEPTH = 40;

/** Words that a lesson is sorted by. */
export const MOST_TAGS = 12;
export const MOST_TEXT = 20_000;
export const MOST_NAME = 200;
export const MOST_STEPS = 200;
export const MOST_BLOCKS = 100;
export const MOST_ANSWERS = 5_000;
export const MOST_RANGES = 60;

/** Members, and gear sets, of a unit: exact elimination stays well under a second. */
export const MOST_MEMBERS = 40;
/** Elements of a unit: as many as a table of outcomes takes. */
export const MOST_ELEMENTS = 30;
/** One-way clutches of a unit: all choices of those that hold are tried. */
export const MOST_ONE_WAYS = 6;

/** J that a question or a duty may ask for. */
export const MOST_JOULES = 1e8;
/** What a student may be asked to set a reading to, in its own unit. */
export const MOST_TARGET = 1e6;
export const MOST_SPEED_RPM = 100_000;
export const MOST_TORQUE_NM = 1_000_000;

/** Damages that are hidden in a job. */
export const MOST_HIDDEN = 40;
/** Faults that are a case's cause at once. */
export const MOST_CAUSES = 2;

/** Rows of a measured table. */
export const MOST_TABLE_ROWS = 500;
/** Passages of a hydraulic plan, and parts between them. */
export const MOST_LINES = 120;
export const MOST_OIL_PARTS = 200;
/** Plates of a pack, and sizes of a selective part. */
export const MOST_PLATES = 60;
/** Throttle openings at which an engine is measured, besides full. */
export const MOST_PART_LOADS = 12;
