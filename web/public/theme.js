// Before the first paint, so that a dark-adapted eye never meets a white flash.
document.documentElement.dataset.theme = localStorage.getItem('theme') || 'day';
