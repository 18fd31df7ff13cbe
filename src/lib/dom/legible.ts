/**
 * Tells a drawing how many of its units one screen pixel is, as `--k`: lettering in it never gets smaller
 * than 13 px, however small the drawing (app.css).
 */
export function legible(svg: SVGSVGElement): () => void {
	const tell = () => {
		const shown = svg.getBoundingClientRect().width;
		if (shown > 0) svg.style.setProperty('--k', String(svg.viewBox.baseVal.width / shown));
	};
	const observer = new ResizeObserver(tell);
	observer.observe(svg);
	return () => observer.disconnect();
}
