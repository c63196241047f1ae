/** The template files on offer. */
export const TEMPLATE_FORMATS = ['pdf', 'svg', 'dxf', 'png', 'plt'] as const;

/** A format of template files. */
export type TemplateFormat = (typeof TEMPLATE_FORMATS)[number];

/** What is printed in plastic for a piece. */
export const TOOL_FORMATS = ['cutter', 'former', 'mould'] as const;

/** A tool printed in plastic. */
export type ToolFormat = (typeof TOOL_FORMATS)[number];

/** Patterns of what is sawn of wood for a mould. */
export const FRAME_FORMATS = ['frame-pdf', 'frame-svg', 'frame-dxf'] as const;

/** A format of a frame's patterns. */
export type FrameFormat = (typeof FRAME_FORMATS)[number];

/** All files of a piece: templates, the bench card, the cut list, tools, a frame's patterns. */
export const PIECE_FORMATS = [...TEMPLATE_FORMATS, 'card', 'csv', ...TOOL_FORMATS, ...FRAME_FORMATS] as const;

/** Any file of a piece. */
export type PieceFormat = (typeof PIECE_FORMATS)[number];

/** Room round a former, so that it comes out of the wet wall (mm). */
export const CLEARANCE = { least: 0, greatest: 5, usual: 0.5 } as const;

/** Media type of each template file. */
export const TEMPLATE_TYPES: Readonly<Record<TemplateFormat, string>> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  png: 'image/png',
  plt: 'application/vnd.hp-hpgl',
};

/** Dots an inch of a PNG: limits, and where nothing else is said. */
export const DPI_LIMITS = { least: 36, greatest: 1200 } as const;

/** Default resolution of a PNG (dots an inch). */
export const DEFAULT_DPI = 300;

/** How far a drag knife's tip trails behind its middle, in a plot file (mm). */
export const OFFSET_LIMITS = { least: 0, greatest: 5 } as const;
