// Set before the first paint, from a file of its own so that the content policy needs no exception.
const wish = (() => {
	try {
		return localStorage.getItem('soft-tide-theme') ?? 'auto';
	} catch {
		return 'auto';
	}
})();
const dark = wish === 'evening' || (wish === 'auto' && matchMedia('(prefers-color-scheme: dark)').matches);
document.documentElement.dataset.theme = dark ? 'evening' : 'day';
