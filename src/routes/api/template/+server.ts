import { templatesOf } from '$lib/core/shape/template';
import { TemplateRequestSchema } from '$lib/formats/api';
import { toDxf, toSvg } from '$lib/formats/outline/out';
import { answer, readBody, refuse } from '$lib/server/respond';
import { sheetsOf, SHEETS_MOST, templatePdf } from '$lib/server/templatePdf';
import type { RequestHandler } from './$types';

/** A template as a file, or as plain data; nothing is kept. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { as, name, paper, ...input } = await readBody(request, TemplateRequestSchema);
		const templates = templatesOf(input);
		if (as === 'json') return { templates };
		const layers = {
			template: templates.flatMap((one) => one.template),
			part: input.contours,
			torch: templates.flatMap((one) => one.torch)
		};
		const file = (body: string | Uint8Array<ArrayBuffer>, type: string) =>
			new Response(body, {
				headers: {
					'content-type': type,
					'content-disposition': `attachment; filename="${fileName(name)}.${as}"`
				}
			});
		if (as === 'svg') return file(toSvg(layers), 'image/svg+xml');
		if (as === 'dxf') return file(toDxf(layers), 'image/vnd.dxf');
		const sheets = sheetsOf(layers, paper);
		if (sheets > SHEETS_MOST) {
			refuse(
				400,
				'bad-input',
				`This template takes ${sheets} sheets of ${paper}; ${SHEETS_MOST} is the most. Take the DXF or SVG to a plotter.`
			);
		}
		return file(await templatePdf({ name, paper, layers, torch: input }), 'application/pdf');
	});

const fileName = (name: string) => name.replace(/[^\p{L}\p{N} _.-]/gu, '').trim() || 'template';
