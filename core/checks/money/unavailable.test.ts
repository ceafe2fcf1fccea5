import { testCheck } from '../tester.ts'
import { unavailable } from './unavailable.ts'
import { cube, bought, view, priced } from '../../testing/money-rigs.ts'

testCheck(unavailable, {
  speaks: [
    {
      name: 'no shop has it; another that does the same is to be had, a third is gone as well',
      message: 'gone',
      level: 'risk',
      parts: ['cube'],
      remedies: 1,
      ...priced(
        bought(cube('cube', 1000), 0, [cube('other', 1200), cube('third', 900)]),
        view({ unavailable: true }),
        view({ partId: 'third', unavailable: true }),
      ),
    },
  ],
  silent: [{ name: 'to be had', message: 'there', ...priced(bought(cube('cube', 1000), 0), view()) }],
})
