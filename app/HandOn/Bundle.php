<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Shelf\Draft;
use App\Words\Words;
use Gimbo\Core\Exchange\CuttingList;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Exchange\SvgFile;
use RuntimeException;
use Throwable;
use ZipArchive;

/** Everything that can be handed on of one or many designs, as files by their names. */
final readonly class Bundle
{
    public const READABLE = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function __construct(private Words $words, private LabelSheet $labels)
    {
    }

    /**
     * A ZIP archive with a folder for each design, and one cutting list for all of them. What cannot be made is named in it.
     *
     * @param iterable<string, Draft|Throwable> $drafts by name
     * @return string the path of a temporary file, the caller's to remove
     */
    public function zip(iterable $drafts, PaperFormat $format): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE) === true || throw new RuntimeException('The archive could not be begun.');
        $list = [];
        $folders = [];
        $missing = [];
        foreach ($drafts as $called => $draft) {
            if ($draft instanceof Throwable) {
                $missing[] = $called;

                continue;
            }
            $list[] = [$draft->document->name, $draft->sized];
            $folder = self::folder($draft->document->name, $folders);
            $folders[$folder] = true;
            foreach ($this->files($draft, $format) as $name => $content) {
                $zip->addFromString("$folder/$name", $content);
            }
        }
        $missing === [] || $zip->addFromString('left-out.txt', $this->words->sentence('hand-on.left-out', ['names' => implode("\r\n", $missing)])."\r\n");
        $zip->addFromString('cutting-list.csv', CuttingList::write($list));
        $zip->close() || throw new RuntimeException('The archive could not be written.');

        return $path;
    }

    /** @return iterable<string, string> content by file name */
    private function files(Draft $draft, PaperFormat $format): iterable
    {
        $name = $draft->document->name;
        yield 'design.gimbo.json' => json_encode($draft->document->toArray(), self::READABLE)."\n";
        yield 'template.pdf' => TemplatePdf::write($draft->sized->pieces, $draft->sized, $format, $this->words, $name);
        $labels = $this->labels->pdf($draft->sized, $format);
        if ($labels !== null) {
            yield 'labels.pdf' => $labels;
        }
        foreach ($draft->sized->pieces as $piece) {
            yield "$piece->id.svg" => SvgFile::write($piece, $name);
            yield "$piece->id.dxf" => DxfFile::write($piece);
            yield "$piece->id.hpgl" => HpglFile::write($piece);
            yield "$piece->id.fold" => json_encode(FoldFile::write($piece->pattern()) + ['file_title' => $name], self::READABLE)."\n";
        }
    }

    /**
     * A folder's name that no other design has.
     *
     * @param array<string, true> $taken
     */
    private static function folder(string $name, array $taken): string
    {
        $plain = FileName::of($name);
        for ($n = 1; isset($taken[$folder = $n === 1 ? $plain : "$plain-$n"]); $n++);

        return $folder;
    }
}
