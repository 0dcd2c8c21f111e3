/** The part of Plotly that is used here; the small bundle ships without types. */
declare module 'plotly.js-basic-dist-min' {
	const plotly: {
		react(
			node: HTMLElement,
			data: readonly object[],
			layout: object,
			config: object
		): Promise<unknown>;
	};
	export default plotly;
}
