import { roomCases } from '../../testing/view-rigs.ts'
import { testCheck } from '../tester.ts'
import { eyeBlocked } from './eye-blocked.ts'

testCheck(eyeBlocked, roomCases('view'))
