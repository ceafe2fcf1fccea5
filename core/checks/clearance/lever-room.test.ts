import { roomCases } from '../../testing/view-rigs.ts'
import { testCheck } from '../tester.ts'
import { leverRoom } from './lever-room.ts'

testCheck(leverRoom, roomCases('lever'))
