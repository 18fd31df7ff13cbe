/** Outlines as SVG and DXF, in true millimetres. Arcs stay arcs, circles circles. */
import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import { boundsOf, type Contour } from '$lib/core/shape/outline';
import { pathData, short as r } from './svgPath';

export const LAYERS = ['template', 'part', 'torch'] as const;
export type Layer = (typeof LAYERS)[number];
export type Layers = Partial<Record<Layer, readonly Contour[]>>;

const isCircle = (contour: Contour): boolean =>
	contour.length === 2 && contour.every(({ bulge }) => Math.abs(Math.abs(bulge) - 1) < 1e-9);

const COLOURS: Record<Layer, string> = { template: '#4527d0', part: '#1b1a2c', torch: '#ad1a17' };
const SVG_MARGIN_MM = 5;

export function toSvg(layers: Layers): string {
	const all = LAYERS.flatMap((layer) => layers[layer] ?? []);
	const box = boundsOf(all);
	const [x, width] = [box.minX - SVG_MARGIN_MM, box.maxX - box.minX + 2 * SVG_MARGIN_MM];
	const [top, height] = [box.maxY + SVG_MARGIN_MM, box.maxY - box.minY + 2 * SVG_MARGIN_MM];
	const groups = LAYERS.filter((layer) => layers[layer]?.length).map((layer) => {
		const paths = layers[layer]!.map((c) => `\t\t<path d="${pathData(c)}"/>`).join('\n');
		return `\t<g id="${layer}" fill="none" stroke="${COLOURS[layer]}" stroke-width="0.2">\n${paths}\n\t</g>`;
	});
	return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${r(width)}mm" height="${r(height)}mm" viewBox="${r(x)} ${r(-top)} ${r(width)} ${r(height)}">
${groups.join('\n')}
</svg>
`;
}

/** Colour numbers of the DXF palette: blue, black or white, red. */
const DXF_COLOURS: Record<Layer, number> = { template: 5, part: 7, torch: 1 };

export function toDxf(layers: Layers): string {
	const dxf = new DxfWriter();
	dxf.setUnits(Units.Millimeters);
	for (const layer of LAYERS) {
		const contours = layers[layer];
		if (!contours?.length) continue;
		const layerName = layer.toUpperCase();
		dxf.addLayer(layerName, DXF_COLOURS[layer], 'CONTINUOUS');
		for (const contour of contours) {
			if (isCircle(contour)) {
				const [a, b] = contour as [Contour[0], Contour[0]];
				const centre = point3d((a.x + b.x) / 2, (a.y + b.y) / 2);
				dxf.addCircle(centre, Math.hypot(b.x - a.x, b.y - a.y) / 2, { layerName });
				continue;
			}
			const vertices = contour.map(({ x, y, bulge }) => ({ point: { x, y }, bulge }));
			dxf.addLWPolyline(vertices, { flags: LWPolylineFlags.Closed, layerName });
		}
	}
	return dxf.stringify();
}
