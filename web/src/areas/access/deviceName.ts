/** What this device is called in the list until somebody names it better. */
export const usualName = (): string =>
  /Mobi/.test(navigator.userAgent) ? 'Phone' : /Tablet|iPad/.test(navigator.userAgent) ? 'Tablet' : 'Computer';
