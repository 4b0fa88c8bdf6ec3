<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** A stock as it is planned on: its usable size in ticks with a kerf added, and which sizes may come out of it. */
final readonly class Usable
{
    /**
     * @param list<bool> $may by size
     * @param ?bool $trimsFirst see Hand::trimsFirst
     */
    private function __construct(public Stock $stock, public int $width, public int $height, public array $may, public ?int $longest, public ?int $measures, public ?bool $trimsFirst = null)
    {
    }

    /** Null where nothing wanted comes out of it. */
    public static function of(Stock $stock, Job $job, Sizes $sizes): ?self
    {
        $kerf = $job->trimmer->kerf->ticks;
        $lost = Hand::begins($job) + $job->margin->ticks - $kerf;
        // A roll goes on at its far end.
        [$width, $height] = [$stock->width->ticks - $lost, $stock->height->ticks - ($stock->isRoll ? Hand::begins($job) - $kerf : $lost)];
        $longest = $job->trimmer->longest === null ? null : $job->trimmer->longest->ticks + $kerf;
        if ($longest !== null && min($stock->width->ticks, $stock->height->ticks) + $kerf > $longest && Hand::begins($job) > 0) {
            // Not even its shorter sides can be cut along.
            return null;
        }
        if ($stock->isRoll && $longest !== null && $stock->width->ticks + $kerf > $longest) {
            // Nothing can be cut off it.
            return null;
        }
        $may = array_map(function (int $w, int $h, bool $mayTurn, ?array $only) use ($width, $height, $stock): bool {
            return ($only === null || in_array($stock->id, $only, true)) && (($w <= $width && $h <= $height) || ($mayTurn && $h <= $width && $w <= $height));
        }, $sizes->widths, $sizes->heights, $sizes->mayTurn, $sizes->stock);
        $isShort = $longest === null || max($width, $height) <= $longest;
        $measures = $job->trimmer->measures === null || $job->trimmer->measures->ticks + $kerf >= max($width, $height) ? null : $job->trimmer->measures->ticks + $kerf;

        return in_array(true, $may, true) ? new self($stock, $width, $height, $may, $isShort ? null : $longest, $measures, Hand::trimsFirst($stock, $job)) : null;
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }

    /** What one of it takes away of the paper, laid so: of a roll only what is cut off it. */
    public function taken(Laid $laid): int
    {
        return $this->area() - ($this->stock->isRoll ? $laid->rest()?->area() ?? 0 : 0);
    }

    /** Whether every cut across it can be made, wherever it lies. */
    public function isFree(): bool
    {
        return $this->longest === null && $this->measures === null && ! $this->stock->isRoll;
    }
}
