<?php

declare(strict_types=1);

namespace App\Words;

use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Quantity;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use RuntimeException;

/** The core's reasons in a language: codes become the sentences of lang/<language>.json. Knows no framework. */
final readonly class Words
{
    /** @param array<string, string> $sentences by key */
    private function __construct(private array $sentences)
    {
    }

    public static function in(string $language, string $folder): self
    {
        $sentences = json_decode((string) file_get_contents("$folder/$language.json"), true, 4, JSON_THROW_ON_ERROR);
        if (! is_array($sentences)) {
            throw new RuntimeException("lang/$language.json holds no sentences.");
        }

        return new self(array_filter($sentences, is_string(...)));
    }

    /**
     * A sentence by its key, its {placeholders} filled in.
     *
     * @param array<string, string> $params
     */
    public function sentence(string $key, array $params = []): string
    {
        $sentence = $this->sentences[$key] ?? throw new RuntimeException("No words for $key.");

        return strtr($sentence, array_combine(array_map(fn (string $name) => '{'.$name.'}', array_keys($params)), $params));
    }

    public function has(string $key): bool
    {
        return isset($this->sentences[$key]);
    }

    /**
     * Things one after another, as the language joins them.
     *
     * @param list<string> $things
     */
    public function listed(array $things): string
    {
        $last = array_pop($things);
        if ($last === null || $things === []) {
            return $last ?? '';
        }

        return $this->sentence(count($things) === 1 ? 'list.two' : 'list.last', ['before' => implode($this->sentence('list.between'), $things), 'last' => $last]);
    }

    public function of(Reason $reason): string
    {
        $sentence = $this->sentences["reason.$reason->code"] ?? throw new RuntimeException("No words for reason $reason->code.");
        $replace = [];
        foreach ($reason->params as $name => $value) {
            $replace['{'.$name.'}'] = match (true) {
                $value instanceof Length => LengthFormatter::for(System::Metric)->text($value),
                is_array($value) => implode(', ', $value),
                $value instanceof Quantity => throw new RuntimeException("No words for {$reason->code}'s $name."),
                default => (string) $value,
            };
        }

        return strtr($sentence, $replace);
    }

    /** @return array{at: string, message: string} */
    public function problem(Problem $problem): array
    {
        return ['at' => $problem->at, 'message' => $this->of($problem->reason)];
    }
}
