<?php

declare(strict_types=1);

namespace App\Words;

use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Quantity;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use MessageFormatter;
use RuntimeException;

/** The core's reasons in a language: codes become the sentences of lang/<language>.json. Knows no framework. */
final readonly class Words
{
    /** What is filled in with more than text: a plural, a choice (ICU message syntax). */
    private const HAS_FORMS = '/\{\w+,/';

    /** A figure as the core writes it. */
    private const FIGURE = '~^-?\d+\.\d+(?= ?(?:in|mm|cm|%|°)?$)~';

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

    /** The language, as BCP 47 names it. */
    public function language(): string
    {
        return $this->sentences['language'] ?? 'en';
    }

    /**
     * A sentence by its key (ICU message syntax), its arguments filled in.
     *
     * @param array<string, string|int> $params
     */
    public function sentence(string $key, array $params = []): string
    {
        $sentence = $this->sentences[$key] ?? throw new RuntimeException("No words for $key.");

        return $this->filled($key, $sentence, $params);
    }

    /** @param array<string, string|int> $params */
    private function filled(string $key, string $sentence, array $params): string
    {
        if (! str_contains($sentence, '{')) {
            return $sentence;
        }
        $params = array_map(fn (string|int $value) => is_string($value) ? $this->figure($value) : $value, $params);
        if (preg_match(self::HAS_FORMS, $sentence) !== 1) {
            return strtr($sentence, array_combine(array_map(fn (string $name) => '{'.$name.'}', array_keys($params)), array_map(strval(...), $params)));
        }
        /** @var array<string, MessageFormatter> $formatters */
        static $formatters = [];
        $formatter = $formatters[$this->language().$sentence] ??= new MessageFormatter($this->language(), $sentence);
        $text = $formatter->format($params);

        return $text === false ? throw new RuntimeException("$key: ".$formatter->getErrorMessage()) : $text;
    }

    /** A figure with the language's decimal sign; any other text as it is. */
    public function figure(string $text): string
    {
        return preg_match(self::FIGURE, $text) === 1 ? str_replace('.', $this->sentences['number.decimal'] ?? '.', $text) : $text;
    }

    /** @return array<string, string> by key */
    public function all(): array
    {
        return $this->sentences;
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
        $params = [];
        foreach ($reason->params as $name => $value) {
            $params[$name] = match (true) {
                $value instanceof Length => LengthFormatter::for(System::Metric)->text($value),
                is_array($value) => implode($this->sentence('list.between'), $value),
                $value instanceof Quantity => throw new RuntimeException("No words for {$reason->code}'s $name."),
                is_int($value) => $value,
                default => (string) $value,
            };
        }

        return $this->filled($reason->code, $sentence, $params);
    }

    /** @return array{at: string, message: string} */
    public function problem(Problem $problem): array
    {
        return ['at' => $problem->at, 'message' => $this->of($problem->reason)];
    }
}
