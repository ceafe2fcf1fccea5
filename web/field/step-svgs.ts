import type { Assembly } from '@zucchini/core/assembly'
import type { SheetStep } from '@zucchini/core/build-order'
import { createApp, h } from 'vue'
import StepPicture from '../screens/build/StepPicture.vue'

/** What only the page needs of a drawing. */
const PAGE_ONLY = / (?:data-[\w-]+|class)="[^"]*"|<!--.*?-->/g

/**
 * The pictures of all steps as SVG texts, as the pages draw them; their colours are named by the tokens, so whoever uses
 * them states those.
 */
export const stepSvgs = (
  assembly: Assembly,
  steps: readonly SheetStep[],
  size: { readonly width: number; readonly height: number },
  stem: string,
): readonly string[] =>
  steps.map((_, at) => {
    const host = document.createElement('div')
    const app = createApp({ render: () => h(StepPicture, { assembly, steps, at, ...size }) })
    // Ids of patterns and clips must not meet those of another picture in one file.
    app.config.idPrefix = `${stem}${at}`
    app.directive('ask', {})
    app.mount(host)
    const text = host.innerHTML
      .replaceAll(/class="[^"]*so-far[^"]*"/g, 'CLASS-SO-FAR')
      .replaceAll(PAGE_ONLY, '')
      .replaceAll('CLASS-SO-FAR', 'class="so-far"')
      .replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" ')
    app.unmount()
    return text
  })
