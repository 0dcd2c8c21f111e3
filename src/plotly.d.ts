/** The part of Plotly that is used here; the strict bundle ships without types. */
declare module 'plotly.js-strict-dist-min' {
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
