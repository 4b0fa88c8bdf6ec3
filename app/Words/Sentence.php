<?php

declare(strict_types=1);

namespace App\Words;

/** A sentence of text and figures. */
final readonly class Sentence
{
    /** @param list<string|Figure> $parts */
    private function __construct(public array $parts)
    {
    }

    /**
     * The words of a key with its {placeholders} filled in.
     *
     * @param array<string, string|int|Figure|self> $slots
     */
    public static function of(Words $words, string $key, array $slots = []): self
    {
        /** @var array<string, list<string>> $known by sentence: text and the names of its slots in turn */
        static $known = [];
        // What has a form of its own for a number is put in its form first; the others wait for their figures.
        $sentence = $words->sentence($key, array_filter($slots, is_int(...)) + array_map(fn (string $name) => '{'.$name.'}', array_combine($names = array_keys($slots), $names)));
        $slots = array_map(fn (string|int|Figure|self $slot) => is_int($slot) ? (string) $slot : $slot, $slots);
        $pieces = $known[$sentence] ??= preg_split('/\{([\w-]+)\}/', $sentence, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        $parts = [];
        foreach ($pieces as $i => $piece) {
            $parts[] = $i % 2 === 0 ? $piece : $slots[$piece] ?? throw new \LogicException("Nothing for $piece in $key.");
        }

        return self::joined($parts);
    }

    /** @param array<string|Figure|self> $parts */
    public static function joined(array $parts): self
    {
        $flat = [];
        foreach ($parts as $part) {
            foreach ($part instanceof self ? $part->parts : [$part] as $one) {
                $last = array_key_last($flat);
                if (is_string($one) && $last !== null && is_string($flat[$last])) {
                    $flat[$last] .= $one;
                } elseif ($one !== '') {
                    $flat[] = $one;
                }
            }
        }

        return new self($flat);
    }

    /**
     * Several, as the language joins things.
     *
     * @param list<string|Figure|self> $things
     */
    public static function listed(Words $words, array $things): self
    {
        $last = array_pop($things);
        if ($last === null || $things === []) {
            return self::joined($last === null ? [] : [$last]);
        }
        $before = [];
        foreach ($things as $i => $thing) {
            array_push($before, ...($i === 0 ? [] : [$words->sentence('list.between')]), ...[$thing]);
        }

        return self::of($words, count($things) === 1 ? 'list.two' : 'list.last', ['before' => self::joined($before), 'last' => self::joined([$last])]);
    }

    public function plain(): string
    {
        return implode('', array_map(fn (string|Figure $part) => $part instanceof Figure ? $part->text : $part, $this->parts));
    }

    /** @return list<string> the figures in it */
    public function figures(): array
    {
        return array_values(array_map(fn (Figure $figure) => $figure->text, array_filter($this->parts, fn (string|Figure $part) => $part instanceof Figure)));
    }

    /** @return list<string|array{figure: string}> for the browser */
    public function json(): array
    {
        return array_map(fn (string|Figure $part) => $part instanceof Figure ? ['figure' => $part->text] : $part, $this->parts);
    }
}
