<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Screen\DesignView;
use App\Screen\SizedView;
use App\Shelf\Draft;
use App\Words\Spoken;
use App\Words\Words;
use Gimbo\Core\Measure\System;
use RuntimeException;

/**
 * The step view of a design as one HTML file, with its handout: drawings, figures, words and the program that shows them.
 *
 * Nothing in it asks anything of anywhere; its own policy (CSP) forbids that.
 */
final readonly class OneFile
{
    /** In a script of JSON nothing may look like the end of it. */
    private const INSIDE = JSON_HEX_TAG | JSON_HEX_AMP | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function __construct(private Words $words, private DesignView $view, private SizedView $sized, private Handout $handout)
    {
    }

    public function html(Draft $draft): string
    {
        $sized = $draft->sized;
        $pictures = [];
        foreach (StepPictures::ORDERS as $order) {
            foreach (['right', 'left'] as $hand) {
                $pictures["$order $hand"] = StepPictures::of($sized, $order, $hand === 'left');
            }
        }
        $held = json_encode([
            'view' => $this->view->of($draft),
            'told' => $this->sized->steps($sized),
            'pictures' => $pictures,
            'spoken' => (new Spoken($this->words))->steps($sized),
            'handout' => $this->handout->html($draft, $sized->request->system === System::Metric ? PaperFormat::A4 : PaperFormat::Letter),
            'sentences' => $this->words->all(),
        ], self::INSIDE);

        return view('onefile', [
            'language' => $this->words->language(), 'name' => $draft->document->name, 'held' => $held,
            'script' => str_replace('</script', '<\\/script', self::built('onefile.js')), 'style' => self::built('onefile.css'),
        ])->render();
    }

    private static function built(string $file): string
    {
        $path = public_path("build/onefile/$file");

        return is_file($path) ? (string) file_get_contents($path) : throw new RuntimeException("$path has not been built.");
    }
}
