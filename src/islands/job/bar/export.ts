import * as texts from '#language/screens/job-bar';
/** What of a drawing's look is written into its file: outside the page there is no style sheet. */
const LOOK = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
] as const;

/** A drawing with its computed look written into every element, so that it stands by itself. */
function standingAlone(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [
    [svg, ...svg.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ];
  from.forEach((element, i) => {
    const look = getComputedStyle(element);
    for (const property of LOOK) to[i]!.setAttribute(property, look.getPropertyValue(property));
    to[i]!.removeAttribute('class');
  });
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return copy;
}

/** The drawing as an SVG file. */
export function drawingAsSvg(svg: SVGSVGElement): Blob {
  return new Blob([new XMLSerializer().serializeToString(standingAlone(svg))], { type: 'image/svg+xml' });
}

/** Pixels of the PNG for each unit of the drawing. */
const PIXELS = 3;

/** The drawing as a PNG file, on the ground it stands on. */
export async function drawingAsPng(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.viewBox.baseVal;
  const address = URL.createObjectURL(drawingAsSvg(svg));
  try {
    const picture = new Image();
    picture.src = address;
    await picture.decode();
    const canvas = document.createElement('canvas');
    canvas.width = width * PIXELS;
    canvas.height = height * PIXELS;
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error(texts.thisBrowserDrawsNoPictures);
    pen.fillStyle = getComputedStyle(document.documentElement).backgroundColor;
    pen.fillRect(0, 0, canvas.width, canvas.height);
    pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(texts.thePictureWasNotMade))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(address);
  }
}
