/** The template files on offer. */
export type TemplateFormat = 'pdf' | 'svg' | 'dxf';

export const TEMPLATE_FORMATS: readonly TemplateFormat[] = ['pdf', 'svg', 'dxf'];

/** Media type of each template file. */
export const TEMPLATE_TYPES: Readonly<Record<TemplateFormat, string>> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
};

/** A file name from a design's name: letters, figures and hyphens. */
export function fileStem(name: string): string {
  const stem = name
    .normalize('NFKD')
    .replace(/[^\p{ASCII}]/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return stem || 'piece';
}
