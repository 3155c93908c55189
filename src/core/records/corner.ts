import { IsNumber, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';

/** A corner of an outline, mm from the top left: of a pattern piece, or of a cloth from its left selvage and its cut edge. */
export class Corner {
  @IsNumber() @Min(0) @Max(10_000) xMm!: number;
  @IsNumber() @Min(0) @Max(1e6) yMm!: number;
}

/** A hole, a stain or a fold that will not come out: nothing is cut there. From the left selvage and the cut edge, mm. */
export class Flaw {
  @IsNumber() @Min(0) @Max(6000) xMm!: number;
  @IsNumber() @Min(0) @Max(1e6) yMm!: number;
  @IsNumber() @Min(1) @Max(6000) widthMm!: number;
  @IsNumber() @Min(1) @Max(1e6) heightMm!: number;
  @IsOptional() @IsString() @MaxLength(80) note?: string;
}
