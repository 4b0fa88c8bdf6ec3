<?php

declare(strict_types=1);

namespace Gimbo\Core\Library;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Tool\Calibration;

/** Reads what was measured in a trial, bare numbers in its own `system`, and works out what it says. */
final readonly class TrialReader
{
    private const MOST_SHEETS = 500;

    private function __construct(private FieldReader $in)
    {
    }

    /**
     * `{"system", "side", "mark", "long", "short"}`: see Calibration::notch.
     *
     * @return array{Calibration, System}
     *
     * @throws InvalidDocument also where no notch can have given such a face
     */
    public static function notch(mixed $document): array
    {
        $in = new FieldReader($document);
        $in->allowOnly('', ['system', 'side', 'mark', 'long', 'short']);
        $reader = new self($in);
        $system = System::from($in->choice('/system', array_column(System::cases(), 'value'), System::Imperial->value));
        [$side, $mark, $long, $short] = array_map(fn (string $at) => $reader->length($at, $system->unit()), ['/side', '/mark', '/long', '/short']);
        $in->throwProblems();
        if (! $mark->isLessThan($side)) {
            throw InvalidDocument::at('/mark', Reason::of('trial.mark'));
        }
        $trial = Calibration::notch($side, $mark, Length::max($long, $short), Length::min($long, $short));
        if (! $trial->value->isPositive() || ! $trial->value->isLessThan(Length::min($mark, $side->minus($mark)))) {
            throw InvalidDocument::at('/long', Reason::of('trial.face'));
        }

        return [$trial, $system];
    }

    /**
     * `{"system", "stack", "sheets"}`
     *
     * @throws InvalidDocument
     */
    public static function caliper(mixed $document): Calibration
    {
        $in = new FieldReader($document);
        $in->allowOnly('', ['system', 'stack', 'sheets']);
        $in->get('/sheets') !== null || $in->problem('/sheets', Reason::of('count.out-of-range', ['least' => 1, 'most' => self::MOST_SHEETS]));
        $sheets = $in->count('/sheets', self::MOST_SHEETS) ?? 1;
        $stack = (new self($in))->length('/stack', Unit::Millimetre);
        $in->throwProblems();

        return Calibration::caliper($stack, $sheets);
    }

    private function length(string $at, Unit $unit): Length
    {
        try {
            $typed = $this->in->get($at);
            $length = is_string($typed) && trim($typed) !== '' ? LengthParser::read($typed, $unit)->length : null;
            if ($length === null) {
                $this->in->problem($at, Reason::of('length.missing'));
            } elseif (! $length->isPositive()) {
                throw InvalidLength::notPositive();
            }

            return $length ?? Length::mm(1);
        } catch (InvalidLength $error) {
            $this->in->problem($at, $error->reason);

            return Length::mm(1);
        }
    }
}
