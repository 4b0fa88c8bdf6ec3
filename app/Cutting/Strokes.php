<?php

declare(strict_types=1);

namespace App\Cutting;

/**
 * A job taken apart where the tool is up: each part begins by going to where it works and ends with the tool lifted.
 *
 * So a machine that gets no more than whole parts never stands with its blade in the paper, and a job that was broken off
 * goes on at a part's beginning.
 */
final readonly class Strokes
{
    public const LIFT = "PU;SP0;\n";

    /** @param list<array{text: string, end: int, pen: int}> $parts the bytes of the job up to each part's end, and the tool it is done with */
    private function __construct(private array $parts, public int $length)
    {
    }

    /** @param string $job HP-GL as HpglFile writes it */
    public static function of(string $job): self
    {
        [$parts, $text, $at, $pen, $isDown] = [[], '', 0, 0, false];
        foreach (preg_split('/(?<=;)/', $job, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $instruction) {
            $what = substr(ltrim($instruction), 0, 2);
            if ($isDown && $what !== 'PD' && trim($instruction) !== '') {
                $parts[] = ['text' => $text.'PU;', 'end' => $at, 'pen' => $pen];
                [$text, $isDown] = ['', false];
            }
            $pen = $what === 'SP' ? (int) substr(ltrim($instruction), 2) : $pen;
            $isDown = $isDown || $what === 'PD';
            $text .= $instruction;
            $at += strlen($instruction);
        }
        $text === '' || $parts[] = ['text' => $text.($isDown ? 'PU;' : ''), 'end' => $at, 'pen' => $pen];

        return new self($parts, $at);
    }

    /**
     * Those after so many bytes of the job; the first of them sets the machine up where it is not the job's own first.
     *
     * @return iterable<array{text: string, end: int}>
     */
    public function from(int $begins): iterable
    {
        $isFirst = true;
        foreach ($this->parts as ['text' => $text, 'end' => $end, 'pen' => $pen]) {
            if ($end <= $begins) {
                continue;
            }
            yield ['text' => ($isFirst && $begins > 0 ? "IN;SP$pen;" : '').$text, 'end' => $end];
            $isFirst = false;
        }
    }
}
