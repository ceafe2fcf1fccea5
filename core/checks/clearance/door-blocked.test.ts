import { roomCases } from '../../testing/view-rigs.ts'
import { testCheck } from '../tester.ts'
import { doorBlocked } from './door-blocked.ts'

testCheck(doorBlocked, roomCases('door'))
