/** The template files on offer. */
export type TemplateFormat = 'pdf' | 'svg' | 'dxf';

export const TEMPLATE_FORMATS: readonly TemplateFormat[] = ['pdf', 'svg', 'dxf'];

/** Media type of each template file. */
export const TEMPLATE_TYPES: Readonly<Record<TemplateFormat, string>> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
};
