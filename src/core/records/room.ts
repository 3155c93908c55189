import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { ID_PATTERN, IsInstant, PHOTO_PATTERN, type PhotoId, type PlaceId, type StationId } from './ids.ts';
import { CLIMATES, type Climate } from './upkeep.ts';

export class PlanPoint {
  @IsNumber() @Min(-1e5) @Max(1e5) xMm!: number;
  @IsNumber() @Min(-1e5) @Max(1e5) yMm!: number;
}

/** A wall seen from inside: it runs on the floor plan from `from`, left to right, to where the next one begins. */
export class Wall {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsObject() @ValidateNested() @Type(() => PlanPoint) from!: PlanPoint;
}

/** A ceiling that comes down to a wall: so high at the wall, and at full height so far from it. */
export class Slope {
  @Matches(ID_PATTERN) wallId!: string;
  @IsNumber() @Min(0) @Max(10_000) kneeMm!: number;
  @IsNumber() @Min(1) @Max(20_000) runMm!: number;
}

const DOOR_SWINGS = ['in', 'out', 'slide', 'none'] as const;
export type DoorSwing = (typeof DOOR_SWINGS)[number];

/** A door or an opening in a wall; `xMm` is its left edge, seen from inside. */
export class Door {
  @Matches(ID_PATTERN) id!: string;
  @Matches(ID_PATTERN) wallId!: string;
  @IsNumber() @Min(0) @Max(50_000) xMm!: number;
  @IsNumber() @Min(100) @Max(10_000) widthMm!: number;
  @IsNumber() @Min(100) @Max(10_000) heightMm!: number;
  /** Seen from inside, the side of its hinges. */
  @IsIn(['left', 'right']) hinge!: 'left' | 'right';
  @IsIn(DOOR_SWINGS) swing!: DoorSwing;
  /** From here to the door it leads to, or to the hall that all other doors lead to, mm. */
  @IsNumber() @Min(0) @Max(1e6) wayMm!: number;
  /** The door of another room that it leads straight to; one of the two says it. */
  @IsOptional() @Matches(ID_PATTERN) leadsTo?: string;
}

export class RoomWindow {
  @Matches(ID_PATTERN) id!: string;
  @Matches(ID_PATTERN) wallId!: string;
  @IsNumber() @Min(0) @Max(50_000) xMm!: number;
  @IsNumber() @Min(0) @Max(10_000) sillMm!: number;
  @IsNumber() @Min(50) @Max(20_000) widthMm!: number;
  @IsNumber() @Min(50) @Max(10_000) heightMm!: number;
  /** In the slope over that wall instead of in the wall: `sillMm` is its lower edge along the slope. */
  @IsOptional() @IsBoolean() isInSlope?: boolean;
}

export class Socket {
  @Matches(ID_PATTERN) id!: string;
  @Matches(ID_PATTERN) wallId!: string;
  @IsNumber() @Min(0) @Max(50_000) xMm!: number;
  @IsNumber() @Min(0) @Max(10_000) heightMm!: number;
  @IsOptional() @Matches(ID_PATTERN) circuitId?: string;
}

/** What stands in the room for good: nothing can stand there, and cloth keeps away from what gets hot. */
export class Fixture {
  @Matches(ID_PATTERN) id!: string;
  @IsIn(['pillar', 'heater']) kind!: 'pillar' | 'heater';
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  /** Its middle on the floor plan. */
  @IsObject() @ValidateNested() @Type(() => PlanPoint) at!: PlanPoint;
  @IsNumber() @Min(10) @Max(10_000) widthMm!: number;
  @IsNumber() @Min(10) @Max(10_000) depthMm!: number;
  @IsNumber() @Min(10) @Max(10_000) heightMm!: number;
}

/** A lamp over or beside the work. */
export class Lamp {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsObject() @ValidateNested() @Type(() => PlanPoint) at!: PlanPoint;
  /** Of what shines, above the floor. */
  @IsNumber() @Min(0) @Max(20_000) heightMm!: number;
}

/** A fuse and what hangs on it. */
export class Circuit {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsNumber() @Min(1) @Max(500) volts!: number;
  @IsNumber() @Min(1) @Max(200) amps!: number;
}

/** Where a piece of furniture stands when it does not stand against its wall. */
export class Stand {
  /** Middle of its footprint on the floor plan. */
  @IsNumber() @Min(-1e5) @Max(1e5) xMm!: number;
  @IsNumber() @Min(-1e5) @Max(1e5) yMm!: number;
  /** Clockwise; at 0 its front looks down the plan. */
  @IsNumber() @Min(-360) @Max(360) turnDeg!: number;
}

/** Where one piece stands in an arrangement. */
export class Position {
  @Matches(ID_PATTERN) unitId!: string;
  @Matches(ID_PATTERN) wallId!: string;
  @IsNumber() @Min(0) @Max(50_000) xMm!: number;
  @IsNumber() @Min(0) @Max(10_000) yMm!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Stand) stand?: Stand;
}

/** A way to arrange the furniture of a room, kept to be compared with others. */
export class Arrangement {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsInstant() madeAtMs!: number;
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => Position) positions!: Position[];
}

/** A spot on the floor plan from which fetching is counted. */
export class Station {
  @Matches(ID_PATTERN) id!: StationId;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsObject() @ValidateNested() @Type(() => PlanPoint) at!: PlanPoint;
  /** The piece of furniture that it belongs to: it goes where that goes, and `at` is only its spot without it. */
  @IsOptional() @Matches(ID_PATTERN) unitId?: PlaceId;
}

/** A photo of a wall, lying behind its drawing as a guide: where it lies, from the wall's left end and the floor; mm. */
export class WallPhoto {
  @Matches(ID_PATTERN) wallId!: string;
  @Matches(PHOTO_PATTERN) photoId!: PhotoId;
  @IsNumber() @Min(-1e5) @Max(1e5) xMm!: number;
  @IsNumber() @Min(-1e5) @Max(1e5) yMm!: number;
  @IsNumber() @Min(10) @Max(1e5) widthMm!: number;
  @IsNumber() @Min(10) @Max(1e5) heightMm!: number;
}

export class RoomSpec {
  /** Its outline, clockwise on the plan, on which y runs down: inside lies to the right of every wall. */
  @IsArray() @ArrayMinSize(3) @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => Wall) walls!: Wall[];
  /** Of the ceiling, where no slope brings it down. */
  @IsNumber() @Min(300) @Max(20_000) heightMm!: number;
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Slope) slopes!: Slope[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Door) doors!: Door[];
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => RoomWindow) windows!: RoomWindow[];
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Socket) sockets!: Socket[];
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => Fixture) fixtures!: Fixture[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Circuit) circuits!: Circuit[];
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Station) stations!: Station[];
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => Arrangement) arrangements!: Arrangement[];
  @IsOptional() @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => Lamp) lamps?: Lamp[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => WallPhoto)
  photos?: WallPhoto[];
  /** What it does to what is kept in it. */
  @IsOptional() @IsArray() @ArrayUnique() @IsIn(CLIMATES, { each: true }) climates?: Climate[];
  /** Compass bearing of the upper edge of the plan: 0 where it is north. */
  @IsNumber() @Min(0) @Max(360) upDeg!: number;
  /** Of the house, for the sun; absent: 50. */
  @IsOptional() @IsNumber() @Min(-66) @Max(66) latitudeDeg?: number;
}
