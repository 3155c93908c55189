/** The look of the devices' own pages. */
export const STYLE = `body{margin:0;background:#e9edec;color:#22303c;font:17px/1.5 sans-serif}
main{max-width:34rem;margin:2rem auto;padding:1.5rem;background:#fffdf8}
output{display:block;margin:1rem 0;padding:.5rem 1rem;background:#22303c;color:#e9edec;font:2.5rem monospace;text-align:right}
output.words{font-size:1.25rem;text-align:left}
form{display:inline-block;margin:.75rem .5rem .75rem 0}input,button{font:inherit;min-height:44px;padding:0 .75rem}
ol.tray{padding:0;list-style:none}ol.tray img{display:block;margin:.5rem 0;max-width:100%;border:1px solid #b9c2c2;background:#fff}`;

export const escapeHtml = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** A page with forms and no script, so that the app's strict policy covers it too. */
export function createPage(title: string, what: string, body: string): string {
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>${title} (made up)</title>
<link rel="icon" href="/mark.svg">
<link rel="stylesheet" href="/devices/device.css">
<main>
<h1>${title}</h1>
<p>${what}</p>
${body}
</main>
</html>`;
}

/** A button that is a form of its own. */
export const createAct = (path: string, words: string) =>
  `<form method="post" action="${path}"><button>${words}</button></form>`;
