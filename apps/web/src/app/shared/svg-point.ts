/** Where on a drawing a pointer is, in the drawing's own units; null while it is not on the page. */
export const svgPoint = (
  svg: SVGSVGElement,
  { clientX, clientY }: Pick<PointerEvent, 'clientX' | 'clientY'>,
): DOMPoint | null => {
  const matrix = svg.getScreenCTM();
  return matrix && new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
};
