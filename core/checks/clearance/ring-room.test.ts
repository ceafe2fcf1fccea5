import { roomCases } from '../../testing/view-rigs.ts'
import { testCheck } from '../tester.ts'
import { ringRoom } from './ring-room.ts'

testCheck(ringRoom, roomCases('turn'))
