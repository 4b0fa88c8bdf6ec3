<?php

declare(strict_types=1);

namespace Gimbo\Core\Library;

use Closure;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\PairText;
use Gimbo\Core\Measure\StepText;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Measure\WrittenLength;
use Gimbo\Core\Paper\CaliperText;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Weight;
use Gimbo\Core\Tool\Tools;

/**
 * Reads what a maker typed about a size, her tools, a paper, a cutting machine or envelopes she bought into an entry of her library, or says what is wrong with it.
 *
 * Lengths may be bare numbers in the entry's own `system`; an entry that is kept has its units written.
 *
 * @phpstan-type Entry array<string, mixed>
 */
final readonly class EntryReader
{
    public const LONGEST_NAME = 60;

    /** A host's name (RFC 1123) or an address, IPv6 in brackets. */
    private const HOST = '/^(?:[a-z0-9](?:[a-z0-9.-]{0,251}[a-z0-9])?|\[[0-9a-f:.]{2,45}\])$/i';

    private const RAW_PRINTING_PORT = 9100;

    /** What of a set of tools is about punches and dies; none is usual. */
    private const PUNCHES = ['circles', 'circleReach', 'corners', 'tab', 'repeat', 'holeReach', 'dies', 'plate', 'tapes'];

    private const MOST_PUNCHES = 40;

    private const MOST_OF_A_PACK = 5000;

    /** What a pack of envelopes usually holds; common practice, no source. */
    private const USUAL_PACK = 25;

    private const OVAL = 'oval ';

    private const SIZE_KINDS = ['card', 'envelope', 'sheet'];

    private FieldReader $in;

    private Unit $unit;

    private System $system;

    private function __construct(mixed $document)
    {
        $this->in = new FieldReader($document);
        $this->system = System::from($this->in->choice('/system', array_column(System::cases(), 'value'), System::Imperial->value));
        $this->unit = $this->system->unit();
    }

    /**
     * @return Entry `name`, `system` and the kind's own fields, lengths as texts with their unit
     *
     * @throws InvalidDocument with every problem found
     */
    public static function read(Kind $kind, mixed $document): array
    {
        $reader = new self($document);
        $entry = ['name' => $reader->in->name('/name', self::LONGEST_NAME), 'system' => $reader->system->value] + match ($kind) {
            Kind::Sizes => $reader->size(),
            Kind::Tools => $reader->tools(),
            Kind::Papers => $reader->paper(),
            Kind::Cutters => $reader->cutter(),
            Kind::Envelopes => $reader->envelopes(),
        };
        $reader->in->throwProblems();

        return $entry;
    }

    /** @return Entry */
    private function size(): array
    {
        $this->in->allowOnly('', ['name', 'system', 'kind', 'width', 'height']);

        return [
            'kind' => $this->in->choice('/kind', self::SIZE_KINDS, 'card'),
            'width' => $this->length('/width') ?? $this->missing('/width'),
            'height' => $this->length('/height') ?? $this->missing('/height'),
        ];
    }

    /** @return Entry a step nobody gave is the usual one of the system */
    private function tools(): array
    {
        $this->in->allowOnly('', ['name', 'system', 'cut', 'score', 'trimmerScore', 'punch', 'notch', 'reach', 'scoreReach', 'trimmerReach', 'slant', 'reads', ...self::PUNCHES]);
        $usual = Tools::usual($this->system);
        $words = LengthFormatter::in($this->unit);

        return [
            'cut' => $this->steps('/cut') ?? $words->text($usual->cut->size),
            'score' => $this->steps('/score') ?? $words->text($usual->score->size),
            'trimmerScore' => $this->steps('/trimmerScore'),
            'punch' => $this->steps('/punch') ?? $words->text($usual->punch->size),
            'notch' => $this->length('/notch') ?? $words->text($usual->notch),
            'reach' => $this->length('/reach'),
            'scoreReach' => $this->length('/scoreReach'),
            'trimmerReach' => $this->length('/trimmerReach'),
            'slant' => $this->length('/slant'),
            'reads' => $this->in->choice('/reads', ['both', 'left'], 'both'),
            'circles' => $this->several('/circles'),
            'circleReach' => $this->length('/circleReach'),
            'corners' => $this->several('/corners'),
            'tab' => $this->pair('/tab', $this->in->get('/tab')),
            'repeat' => $this->length('/repeat'),
            'holeReach' => $this->length('/holeReach'),
            'dies' => $this->dies('/dies'),
            'plate' => $this->pair('/plate', $this->in->get('/plate')),
            'tapes' => $this->several('/tapes'),
        ];
    }

    /** @return Entry the weight in g/m² and the caliper follow where they are not given */
    private function paper(): array
    {
        $this->in->allowOnly('', ['name', 'system', 'weight', 'basis', 'caliper', 'width', 'height', 'colour', 'stock']);
        $amount = $this->in->count('/weight', 2000);
        $basis = Weight::from($this->in->choice('/basis', array_column(Weight::cases(), 'value'), Weight::Grams->value));
        $grammage = $amount === null ? null : $basis->grammage($amount);
        $known = $grammage === null ? Paper::usualCaliper() : Paper::caliperOf($grammage);
        [$width, $height] = [$this->length('/width'), $this->length('/height')];
        ($width === null) === ($height === null) || $this->in->problem($width === null ? '/width' : '/height', Reason::of('length.missing'));

        return [
            'weight' => $amount, 'basis' => $basis->value, 'grammage' => $grammage,
            'caliper' => $this->length('/caliper', Unit::Millimetre, CaliperText::read(...)) ?? LengthFormatter::in(Unit::Millimetre)->measured($known, 3),
            'width' => $width, 'height' => $height,
            'colour' => $this->in->colour('/colour'),
            'stock' => StockReader::read($this->in, $this->unit),
        ];
    }

    /** @return Entry how large they are, how many there are, and how many a bought pack holds */
    private function envelopes(): array
    {
        $this->in->allowOnly('', ['name', 'system', 'width', 'height', 'count', 'pack', 'place']);
        $place = $this->in->get('/place') ?? '';

        return [
            'width' => $this->length('/width') ?? $this->missing('/width'), 'height' => $this->length('/height') ?? $this->missing('/height'),
            'count' => $this->in->count('/count', StockReader::MOST_SHEETS, 0) ?? 0, 'pack' => $this->in->count('/pack', self::MOST_OF_A_PACK) ?? self::USUAL_PACK,
            'place' => $place === '' ? '' : $this->in->name('/place', StockReader::LONGEST_PLACE),
        ];
    }

    /** @return Entry where a cutting machine is reached, and the largest sheet its bed takes */
    private function cutter(): array
    {
        $this->in->allowOnly('', ['name', 'system', 'host', 'port', 'answers', 'width', 'height']);
        $host = $this->in->get('/host');
        if (! is_string($host) || preg_match(self::HOST, trim($host)) !== 1) {
            $this->in->problem('/host', Reason::of('host.invalid'));
        }

        return [
            'host' => is_string($host) ? trim($host) : '',
            'port' => $this->in->count('/port', 65_535) ?? self::RAW_PRINTING_PORT,
            'answers' => $this->in->choice('/answers', ['yes', 'no'], 'yes'),
            'width' => $this->length('/width') ?? $this->missing('/width'),
            'height' => $this->length('/height') ?? $this->missing('/height'),
        ];
    }

    private function missing(string $at): string
    {
        $this->in->problem($at, Reason::of('length.missing'));

        return '';
    }

    /**
     * The length with its unit, in its plainest form; null where nothing was typed.
     *
     * @param ?Closure(string, ?Unit): WrittenLength $read how it is written; else as LengthParser reads
     */
    private function length(string $at, ?Unit $unit = null, ?Closure $read = null): ?string
    {
        return $this->written($at, $this->in->get($at), $unit, $read);
    }

    /** What a tool can be set to: one step, or both of its scales; null where nothing was typed. */
    private function steps(string $at): ?string
    {
        $typed = $this->in->get($at);
        $scales = is_string($typed) ? StepText::split($typed) : [];
        if (count($scales) <= 1) {
            return $this->length($at);
        }

        return StepText::join(array_values(array_filter(array_map(fn (string $scale) => $this->written($at, $scale), $scales))));
    }

    /** Sizes with commas between them; null where nothing was typed. */
    private function several(string $at): ?string
    {
        $texts = array_filter(array_map(fn (string $one): ?string => $this->written($at, $one), $this->list($at)));

        return $texts === [] ? null : StepText::join(array_values($texts));
    }

    /** Window dies, width by height, `oval` before those that are. */
    private function dies(string $at): ?string
    {
        $texts = [];
        foreach ($this->list($at) as $one) {
            $isOval = str_starts_with(mb_strtolower($one), self::OVAL);
            $texts[] = ($isOval ? self::OVAL : '').$this->pair($at, $isOval ? substr($one, strlen(self::OVAL)) : $one);
        }

        return $texts === [] ? null : StepText::join($texts);
    }

    /** @return list<string> */
    private function list(string $at): array
    {
        $typed = $this->in->get($at);
        $list = is_string($typed) ? StepText::split($typed) : [];
        ($typed !== null && ! is_string($typed)) || count($list) > self::MOST_PUNCHES ? $this->in->problem($at, Reason::of('punches.list', ['most' => self::MOST_PUNCHES])) : null;

        return count($list) > self::MOST_PUNCHES ? [] : $list;
    }

    /** Width by height; null where nothing was typed. */
    private function pair(string $at, mixed $typed): ?string
    {
        if ($typed === null || $typed === '') {
            return null;
        }
        $two = is_string($typed) ? PairText::split($typed) : null;
        if ($two === null) {
            $this->in->problem($at, Reason::of('punches.pair'));

            return null;
        }

        return implode(PairText::BETWEEN, array_map(fn (string $one): string => (string) $this->written($at, $one), $two));
    }

    /** @param ?Closure(string, ?Unit): WrittenLength $read how it is written; else as LengthParser reads */
    private function written(string $at, mixed $typed, ?Unit $unit = null, ?Closure $read = null): ?string
    {
        if ($typed === null || $typed === '') {
            return null;
        }
        try {
            $written = ($read ?? LengthParser::read(...))(is_string($typed) ? $typed : throw InvalidLength::notText(), $unit ?? $this->unit);
            $written->length->isPositive() || throw InvalidLength::notPositive();

            return $written->canonical() ?? trim((string) $typed).($written->unitIsWritten ? '' : ' '.$written->unit->value);
        } catch (InvalidLength $error) {
            $this->in->problem($at, $error->reason);

            return null;
        }
    }
}
