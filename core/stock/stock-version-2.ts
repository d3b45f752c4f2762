type Plain = Record<string, unknown>;

/** A sheet as it was written before materials stood apart from sheets; its colour is the material's now. */
export function stockFromVersion2(old: unknown): unknown {
  const { id, name, width, height, margins, spots } = old as Plain;
  const labels = spots ? { layout: 'grid', ...(spots as Plain) } : null;
  return { id, name, form: 'sheet', width, height, margins, spots: labels };
}
